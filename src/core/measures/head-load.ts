/** A rule of thumb and what is published, side by side; neither weighs this patient's head. */
export type HeadLoad = {
  /** Pounds added by the rule of thumb: ten an inch forward. Common practice, no source. */
  readonly addedPounds: number;
  /** Head and added together; the rule is often misquoted with the added number as the whole. */
  readonly totalPounds: number;
  readonly inches: number;
};

export const HEAD_POUNDS = 12;
const MM_PER_INCH = 25.4;

/**
 * The rule of thumb: each inch that the ear is in front of the shoulder adds up to ten pounds to a
 * head of twelve. Common practice, no source.
 *
 * @param forwardMm ear in front of the shoulder, millimetres; behind counts as 0
 * @example ruleOfThumbLoad(76.2) // 3 in: 30 lb added, 42 lb in all
 */
export function ruleOfThumbLoad(forwardMm: number): HeadLoad {
  const inches = Math.max(0, forwardMm) / MM_PER_INCH;
  const addedPounds = inches * 10;
  return { inches, addedPounds, totalPounds: HEAD_POUNDS + addedPounds };
}

/**
 * Published load on the neck by the angle of bending forward (Hansraj 2014), degrees and pounds as
 * [least, most]. The angle is the neck's bend, not the craniovertebral angle.
 */
export const LOAD_BY_BEND = [
  { bend: 0, pounds: [10, 12] },
  { bend: 15, pounds: [27, 27] },
  { bend: 30, pounds: [40, 40] },
  { bend: 45, pounds: [49, 49] },
  { bend: 60, pounds: [60, 60] },
] as const;

/** Kilograms of so many pounds. */
export function kilograms(pounds: number): number {
  return pounds * 0.45359237;
}
