import type { WakingHours } from '../schedule';
import type { LocalDate } from '../units';
import { type DayDone, type ProgrammeVersion, plannedLines } from './history';

/**
 * A day as far as some lines go: a session's share is that of its own lines among them, and one that
 * holds none of them, and says nothing of them, is no session of theirs.
 *
 * @param counted the lines, by lineage
 */
export function doneOfLines(
  date: LocalDate,
  done: DayDone,
  counted: ReadonlySet<string>,
  versions: readonly ProgrammeVersion[],
  waking: WakingHours,
): DayDone {
  return {
    lines: done.lines.filter(({ lineage }) => counted.has(lineage)),
    sessions: done.sessions.flatMap((session) => {
      const version = versions.find(({ number }) => number === session.version);
      const lines = session.lines.filter(({ lineage }) => counted.has(lineage));
      if (!version) return lines.length > 0 ? [{ ...session, lines }] : [];
      const planned = plannedLines(version, date, session.key, waking);
      const own = version.lines.filter(
        ({ lineage }) => counted.has(lineage) && planned.has(lineage),
      );
      if (own.length === 0 && lines.length === 0) return [];
      const weight = own.reduce((sum, { target }) => sum + target.weight, 0);
      const credited = own.reduce((sum, { lineage, target }) => {
        const share = lines.find((line) => line.lineage === lineage)?.share ?? 0;
        return sum + target.weight * Math.min(1, share);
      }, 0);
      return [{ ...session, lines, share: weight === 0 ? 0 : credited / weight }];
    }),
  };
}
