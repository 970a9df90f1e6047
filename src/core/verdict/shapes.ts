/** What a course may look like between its start and now. */
export const SHAPE_KINDS = ['none', 'line', 'levelling', 'step'] as const;
export type ShapeKind = (typeof SHAPE_KINDS)[number];

/**
 * One shape as a column from 0 at the start to 1 now: its coefficient is the change from start to now.
 * Days are counted from the first reading.
 */
export type Shape = {
  readonly kind: ShapeKind;
  /** Null where nothing changes. */
  readonly at: ((day: number) => number) | null;
  /** Its share of belief before anything is told; those of all shapes add up to 1. */
  readonly prior: number;
};

/** A flare that passed: there on a day, 1, or not, 0. */
export type Flare = { readonly at: (day: number) => number; readonly prior: number };

/** Days in which levelling-off courses have made about two thirds of their way. */
const LEVELLING_DAYS = [5, 10, 20] as const;
/** Steps are looked for at so many places at most, so that a long course costs no more than a short one. */
const MOST_STEPS = 8;
/** A step has so many days on either side. */
const STEP_FROM_ENDS = 4;
/** How likely each kind is before anything is told. Ours, no source. */
const PRIORS: Readonly<Record<ShapeKind, number>> = {
  none: 0.4,
  line: 0.15,
  levelling: 0.2,
  step: 0.25,
};

/** Whole days from one to another, so many at the most, evenly apart. */
function places(from: number, to: number, most: number): number[] {
  if (to < from) return [];
  const apart = Math.max(1, Math.ceil((to - from + 1) / most));
  return Array.from({ length: Math.floor((to - from) / apart) + 1 }, (_, at) => from + at * apart);
}

/** Every shape over so many days, the last of them today. @param days 2 or more */
export function shapesOver(days: number): readonly Shape[] {
  const last = days - 1;
  const steps = places(STEP_FROM_ENDS, last - STEP_FROM_ENDS, MOST_STEPS);
  return [
    { kind: 'none', at: null, prior: PRIORS.none },
    { kind: 'line', at: (day) => day / last, prior: PRIORS.line },
    ...LEVELLING_DAYS.map((tau): Shape => ({
      kind: 'levelling',
      at: (day) => (1 - Math.exp(-day / tau)) / (1 - Math.exp(-last / tau)),
      prior: PRIORS.levelling / LEVELLING_DAYS.length,
    })),
    ...steps.map((from): Shape => ({
      kind: 'step',
      at: (day) => (day >= from ? 1 : 0),
      prior: PRIORS.step / steps.length,
    })),
  ];
}

/** Flares of so many days are looked for, each length at so many places at most. */
const FLARE_LENGTHS = [4, 9] as const;
const MOST_FLARES = 8;
/** A flare that has not been over for so many days is no passed one yet. */
const OVER_FOR = 2;
/** How likely one is, anywhere. Ours, no source. */
const FLARE_PRIOR = 0.35;
/** Every flare that passed within so many days. */
export function flaresOver(days: number): readonly Flare[] {
  const spans = FLARE_LENGTHS.flatMap((length) =>
    places(1, days - length - OVER_FOR, MOST_FLARES).map((from) => ({ from, to: from + length })),
  );
  return spans.map(({ from, to }) => ({
    at: (day) => (day >= from && day < to ? 1 : 0),
    prior: FLARE_PRIOR / spans.length,
  }));
}
