import { type DayReport, doneOfLines } from '../history';
import type { SentVersion } from '../programme';
import type { EpisodeId, LocalDate } from '../units';
import type { RecordFacts } from './record';

/** An episode of care, as far as it says which days were its own. */
export type EpisodeSpan = {
  readonly id: EpisodeId;
  readonly openedOn: LocalDate;
  /** Its last day; null while it is open. */
  readonly closedOn: LocalDate | null;
};

/** Lineages that are for a complaint: as the newest version that has the line says. */
export function lineagesFor(
  versions: readonly SentVersion[],
  episodeId: EpisodeId,
): ReadonlySet<string> {
  const newest = new Map(
    versions.flatMap(({ lines }) => lines.map((line) => [line.lineage, line.episodeId] as const)),
  );
  return new Set([...newest].filter(([, of]) => of === episodeId).map(([lineage]) => lineage));
}

/**
 * What was told of a day as far as one complaint goes. Where more than one was treated on that day, pain
 * is a complaint's own only where it was told of it: a number that may be of another says nothing of this
 * one, and pain after a session in which both were done is of neither.
 *
 * @param others the patient's other episodes
 * @example // neck 2 and knee 6 told of one day: the neck's worst is 2
 */
export function reportFor(
  date: LocalDate,
  report: DayReport,
  episodeId: EpisodeId,
  others: readonly EpisodeSpan[],
): DayReport {
  const own = report.worstOf?.find((one) => one.episodeId === episodeId);
  if (own) return { ...report, worst: own.worst, pains: [] };
  const wasAlone = !others.some(
    ({ openedOn, closedOn }) => openedOn <= date && (closedOn === null || date <= closedOn),
  );
  if (wasAlone && report.worstOf === undefined) return report;
  return { ...report, worst: null, pains: [] };
}

/**
 * A record as one complaint among several has it: only its own lines are counted, and of pain only what is
 * its own. What is safe is asked of the whole record, never of this.
 *
 * @param others the patient's other episodes; where none ever ran beside it, the record stays as it is
 * @param notOwn activities that are goals of another complaint alone
 */
export function recordFor<
  R extends {
    readonly facts: RecordFacts;
    readonly reports: ReadonlyMap<LocalDate, DayReport>;
  },
>(
  record: R,
  episode: EpisodeSpan,
  others: readonly EpisodeSpan[],
  notOwn: ReadonlySet<string> = new Set(),
): R {
  const beside = others.filter((other) => overlaps(episode, other));
  if (beside.length === 0) return record;
  const { facts, reports } = record;
  const { versions, waking } = facts;
  const counted = lineagesFor(versions, episode.id);
  return {
    ...record,
    facts: {
      ...facts,
      counted,
      done: new Map(
        [...facts.done].map(([date, done]) => [
          date,
          doneOfLines(date, done, counted, versions, waking),
        ]),
      ),
    },
    reports: new Map(
      [...reports].map(([date, report]) => {
        const own = reportFor(date, report, episode.id, beside);
        return [
          date,
          { ...own, activities: own.activities.filter(({ activity }) => !notOwn.has(activity)) },
        ];
      }),
    ),
  };
}

/** Whether two complaints were treated at once; one that began the day the other ended came after it. */
export function overlaps(one: EpisodeSpan, other: EpisodeSpan): boolean {
  return (
    (one.closedOn === null || other.openedOn < one.closedOn) &&
    (other.closedOn === null || one.openedOn < other.closedOn)
  );
}
