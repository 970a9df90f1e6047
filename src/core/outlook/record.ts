import type { Circumstances } from '../choose';
import type { DayReport, HistoryFacts } from '../history';
import type { SentVersion } from '../programme';
import type { Decision, HomeBody, MeasurementBody, TaughtLine } from '../records';
import { type MeasuredDangers, type PrecautionId, withMeasured } from '../screen';
import { nerveChange } from '../symptoms';
import type { LocalDate } from '../units';

/** What a clinician said to a proposal, as far as the outlook reads it. */
export type Decided = {
  /** The proposal's own key: the same as long as it proposes the same. */
  readonly key: string;
  readonly lineage: string;
  /** The newest version when it was decided. */
  readonly version: number;
  readonly decision: Decision;
};

export type RecordFacts = Omit<HistoryFacts, 'versions'> & {
  readonly versions: readonly SentVersion[];
};

/** A patient's record as far as progression and triage read it. */
export type FollowRecord<D extends Decided = Decided, F extends RecordFacts = RecordFacts> = {
  readonly facts: F;
  readonly reports: ReadonlyMap<LocalDate, DayReport>;
  /** Those the screening names; `precautionsIn` adds what was measured. */
  readonly precautions: readonly PrecautionId[];
  readonly screenedOn: LocalDate | null;
  readonly home: HomeBody | null;
  /** Faults without a fix at the newest teaching, by lineage. */
  readonly faults: ReadonlyMap<string, number>;
  /** Newest first. */
  readonly decisions: readonly D[];
  /** The newest nerve examination found less strength or feeling than the one before. */
  readonly deficitGrows: boolean;
} & MeasuredDangers;

/** The version whose lines are judged: the newest, also while it is still to begin. */
export function judgedVersion({ facts }: FollowRecord): SentVersion | null {
  return facts.versions.at(-1) ?? null;
}

/** What closes or opens steps of the stairs for a patient. */
export function circumstancesIn(record: FollowRecord): Circumstances {
  const { home } = record;
  return {
    props: home?.props ?? null,
    cannot: home?.cannot ?? [],
    precautions: precautionsIn(record),
  };
}

/** The screening's precautions with those of what was measured. */
export function precautionsIn(record: FollowRecord): readonly PrecautionId[] {
  return withMeasured(record.precautions, record);
}

/**
 * True when the newest nerve examination found less strength or feeling than the one before it. What
 * the first examination finds is where it begins, not a change.
 *
 * @param bodies measurements' bodies, newest first; other forms are passed over
 */
export function deficitGrows(bodies: readonly (MeasurementBody | null)[]): boolean {
  const [last, before] = bodies.flatMap((body) => (body?.form === 'nerve' ? [body] : []));
  if (!last || !before) return false;
  const { weaker, lessFeeling } = nerveChange(before, last);
  return weaker.length > 0 || lessFeeling.length > 0;
}

/** Faults that were seen and not put right, by lineage. */
export function openFaults(lines: readonly TaughtLine[]): ReadonlyMap<string, number> {
  return new Map(
    lines.map(({ lineage, faults }) => [lineage, faults.filter(({ fix }) => fix === '').length]),
  );
}
