import type { SessionLog } from '../progression';
import type { SentLine } from '../programme';
import { type LocalDate, addDays } from '../units';
import type { FollowRecord, RecordFacts } from './record';

/** The first day a line has been as it is now, through versions that left it so. */
export function sameSince(facts: Pick<RecordFacts, 'versions'>, line: SentLine): LocalDate | null {
  let since: LocalDate | null = null;
  for (const version of [...facts.versions].reverse()) {
    const then = version.lines.find(({ lineage }) => lineage === line.lineage);
    if (!then || then.text !== line.text) {
      if (since !== null) break;
      continue;
    }
    since = version.effectiveFrom;
  }
  return since;
}

/**
 * What a line's sessions were under its present dose, oldest first. A stop for a symptom counts
 * until somebody lets the programme go on.
 */
export function logsOf(
  { facts, reports }: Pick<FollowRecord, 'facts' | 'reports'>,
  line: SentLine,
): SessionLog[] {
  const since = sameSince(facts, line);
  if (since === null) return [];
  const stopStands = facts.pauses.some(({ to }) => to === null);
  return [...facts.done]
    .filter(([date]) => date >= since)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([date, { sessions }]) =>
      sessions.flatMap((session) =>
        session.lines
          .filter(({ lineage }) => lineage === line.lineage)
          .map((log): SessionLog => ({
            date,
            share: log.share,
            sets: log.sets,
            counted: log.counted,
            hold: log.hold,
            effort: session.effort,
            pain: session.pain,
            nextMorning: reports.get(addDays(date, 1))?.soreness ?? null,
            skipped: log.skipped,
            stopped:
              session.state !== 'stopped for a symptom'
                ? 'no'
                : stopStands
                  ? 'stands'
                  : 'let go on',
          })),
      ),
    );
}
