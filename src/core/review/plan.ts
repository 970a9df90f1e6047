import {
  type Change,
  type DetectableChanges,
  KIND_IDS,
  type MeasureKindId,
  changeBetween,
  detectableOf,
  kindOf,
} from '../measures';
import type { BodySide } from '../findings';
import type { Instant } from '../schedule';
import { type LocalDate, itemAt, textOrder } from '../units';

/** A measurement as a review reads it. */
export type ReviewMeasure = {
  readonly kind: MeasureKindId;
  readonly side: BodySide | null;
  readonly value: number | null;
  readonly on: LocalDate;
  /** When it was written down: which of one day was the first. */
  readonly at: Instant;
  readonly position: string;
  readonly instrument: string;
};

/** One thing to measure again, in the way it was measured at first. */
export type ReviewRow = {
  readonly kind: MeasureKindId;
  readonly side: BodySide | null;
  readonly position: string;
  readonly instrument: string;
  readonly first: ReviewMeasure;
  /** The newest since; null while it has not been measured again. */
  readonly last: ReviewMeasure | null;
  readonly change: Change | null;
  /** Measured today, so nothing is left to do. */
  readonly doneToday: boolean;
  /** The newest was taken with another instrument or in another position: not the same thing. */
  readonly otherwise: boolean;
};

/**
 * What a review measures again: everything of the first sitting, and what was added since, in the
 * order of the measuring sheet, with the same instrument and position; first beside last, real only
 * beyond the detectable change.
 *
 * @param measures all that count, in any order; of one moment, the first before the others
 */
export function reviewRows(
  measures: readonly ReviewMeasure[],
  detectable: DetectableChanges,
  today: LocalDate,
): ReviewRow[] {
  const series = new Map<string, ReviewMeasure[]>();
  const inOrder = [...measures].sort((a, b) => textOrder(a.on, b.on) || a.at - b.at);
  for (const measure of inOrder) {
    if (measure.value === null) continue;
    const key = `${measure.kind} ${measure.side ?? ''}`;
    series.set(key, [...(series.get(key) ?? []), measure]);
  }
  return [...series.values()]
    .flatMap((group): ReviewRow[] => {
      const [first, newest] = [itemAt(group, 0), itemAt(group, -1)];
      const last = newest === first ? null : newest;
      const { kind, side, position, instrument } = first;
      const { margin } = detectableOf(kind, detectable);
      return [
        {
          kind,
          side,
          position,
          instrument,
          first,
          last,
          change:
            last?.value != null && first.value !== null
              ? changeBetween(first.value, last.value, margin, kindOf(kind).better)
              : null,
          doneToday: newest.on === today,
          otherwise:
            last !== null && (last.position !== position || last.instrument !== instrument),
        },
      ];
    })
    .sort(
      (a, b) =>
        KIND_IDS.indexOf(a.kind) - KIND_IDS.indexOf(b.kind) ||
        (a.side ?? '').localeCompare(b.side ?? ''),
    );
}

/**
 * A change in words.
 *
 * @example sayChange({ difference: 8, needed: 4, real: true, direction: 'better' }) // 'better, beyond error'
 */
export function sayChange(change: Change | null): string {
  if (change === null) return 'not measured again';
  if (change.difference === 0) return 'no change';
  if (change.real === null) return 'changed; nobody has published what is real';
  if (!change.real) return 'within the error of measuring';
  return change.direction === 'neither'
    ? 'changed, beyond error'
    : `${change.direction}, beyond error`;
}
