import { type Circumstances, circumstancesOf } from '../choose';
import type { DayReport, HistoryFacts } from '../history';
import type { SentVersion } from '../programme';
import { type MeasureKindId, changeBetween, kindOf } from '../measures';
import type { Move } from '../progression';
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
  readonly move: Move;
  /** What had happened when; null in decisions from before it was kept. */
  readonly event: string | null;
  /** The dose line the line becomes; null where it is left out, or stays. */
  readonly toDose: string | null;
  readonly toExerciseId: string | null;
  readonly localDate: LocalDate;
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
  /** The day of the newest nerve examination, where it found less strength or feeling than the one before. */
  readonly deficitSince: LocalDate | null;
  /** The first day of the open episodes of care, or of the newest; null where none is kept. */
  readonly episodeFrom: LocalDate | null;
  /** The day on which a measured maximum last grew by more than its error, by kind. */
  readonly improved: ReadonlyMap<MeasureKindId, LocalDate>;
} & MeasuredDangers;

/** The version whose lines are judged: the newest, also while it is still to begin. */
export function judgedVersion({ facts }: FollowRecord): SentVersion | null {
  return facts.versions.at(-1) ?? null;
}

/** What closes or opens steps of the stairs for a patient. */
export function circumstancesIn(record: FollowRecord): Circumstances {
  return circumstancesOf(record.home, precautionsIn(record));
}

/** The screening's precautions with those of what was measured. */
export function precautionsIn(record: FollowRecord): readonly PrecautionId[] {
  return withMeasured(record.precautions, record);
}

/**
 * The day of the newest nerve examination when it found less strength or feeling than the one before
 * it. What the first examination finds is where it begins, not a change.
 *
 * @param measured newest first; other forms are passed over
 * @returns null where nothing grows
 */
export function deficitSince(
  measured: readonly { readonly on: LocalDate; readonly body: MeasurementBody | null }[],
): LocalDate | null {
  const [last, before] = measured.flatMap(({ on, body }) =>
    body?.form === 'nerve' ? [{ on, body }] : [],
  );
  if (!last || !before) return null;
  const { weaker, lessFeeling } = nerveChange(before.body, last.body);
  return weaker.length > 0 || lessFeeling.length > 0 ? last.on : null;
}

/** So much more counts as grown where nobody has published a detectable change. Ours, no source. */
const GROWN_BY = 1.25;

/**
 * The last day on which a measure was better than the time before it by more than its error; where
 * nobody has published one, by a quarter.
 *
 * @param values newest first
 * @returns null where it never was
 */
export function improvedOn(
  kind: MeasureKindId,
  values: readonly { readonly on: LocalDate; readonly value: number }[],
): LocalDate | null {
  const { better, detectable } = kindOf(kind);
  const found = values.find(({ value }, at) => {
    const before = values[at + 1];
    if (!before) return false;
    const { real, direction } = changeBetween(before.value, value, detectable.margin, better);
    return direction === 'better' && (real ?? value >= before.value * GROWN_BY);
  });
  return found?.on ?? null;
}

/** Faults that were seen and not put right, by lineage. */
export function openFaults(lines: readonly TaughtLine[]): ReadonlyMap<string, number> {
  return new Map(
    lines.map(({ lineage, faults }) => [lineage, faults.filter(({ fix }) => fix === '').length]),
  );
}
