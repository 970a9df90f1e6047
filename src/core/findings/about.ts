import type { MeasureKindId } from '../measures';
import type { RepeatedMovement } from '../symptoms';

export type BodySide = 'left' | 'right';

/** A finding of the clinician's own, which no rule of the table found. */
export const OWN_FINDING = 'added';

/**
 * What a finding is about, as data. Everything that is reckoned from a finding reads these fields;
 * its sentence is for people, and a clinician may word it otherwise without changing what it means.
 */
export type FindingAbout = {
  /** The row of the table it comes from, or `OWN_FINDING`. */
  readonly rule: string;
  readonly measure: MeasureKindId | null;
  /** The side that is short, weak or hurts: of a difference the lesser one. */
  readonly side: BodySide | null;
  /** The repeated movement it is about. */
  readonly direction: RepeatedMovement | null;
  /** What else tells it apart: a nerve test, a level, a limb, a ratio, what leads, an activity. */
  readonly part: string | null;
  /**
   * The numbers it stands on, rounded as they are shown, each in the unit of its measure; null where
   * they were not kept, before findings kept their facts.
   */
  readonly numbers: Readonly<Record<string, number>> | null;
};

/** Where a forward head comes from, as the part of `held-from-below`. */
export const HELD_BY = { trunk: 'trunk leads', neck: 'neck leads' } as const;

/** A finding of the clinician's own is about nothing that the table knows. */
export const ABOUT_NOTHING: FindingAbout = {
  rule: OWN_FINDING,
  measure: null,
  side: null,
  direction: null,
  part: null,
  numbers: {},
};

/**
 * True when two findings stand on the same facts, so that a decision about one holds for the other.
 * Their wording does not matter; numbers that were not kept are never the same.
 *
 * @example sameFacts(about, { ...about, numbers: { value: 12 } }) // false: other numbers ask again
 */
export function sameFacts(a: FindingAbout, b: FindingAbout): boolean {
  return (
    a.rule === b.rule &&
    a.measure === b.measure &&
    a.side === b.side &&
    a.direction === b.direction &&
    a.part === b.part &&
    a.numbers !== null &&
    b.numbers !== null &&
    sameNumbers(a.numbers, b.numbers)
  );
}

type Numbers = NonNullable<FindingAbout['numbers']>;

function sameNumbers(a: Numbers, b: Numbers): boolean {
  const names = Object.keys(a);
  return names.length === Object.keys(b).length && names.every((name) => a[name] === b[name]);
}
