/** Pressure of the cuff before the nod, mmHg (Jull 2008, memory). */
export const CUFF_BASE = 20;
/** Targets of the graded nod test, mmHg (Jull 2008, memory). */
export const CUFF_TARGETS = [22, 24, 26, 28, 30] as const;
/** Holds of ten seconds asked at a target (Jull 2008, memory). */
export const CUFF_HOLDS = 10;
export const CUFF_HOLD_SECONDS = 10;

/**
 * Performance index of the graded nod test: rise of the pressure times successful holds (Jull 2008,
 * memory).
 *
 * @param target mmHg, one of CUFF_TARGETS
 * @param holds successful ten-second holds, 0–10
 * @returns 0–100
 * @example nodPerformanceIndex(24, 6) // 24
 */
export function nodPerformanceIndex(target: number, holds: number): number {
  return (target - CUFF_BASE) * holds;
}

/** Lying lift of the head, seconds, without neck pain (Domenech 2011) and with it (Harris 2005); memory. */
export const DEEP_FLEXOR_REFERENCE = { men: 39, women: 29, withNeckPain: 24 } as const;

export type TrunkHolds = {
  readonly flexor: number | null;
  readonly extensor: number | null;
  readonly left: number | null;
  readonly right: number | null;
};

export type TrunkRatio = {
  readonly name: string;
  readonly ratio: number;
  /** Outside of what healthy people show. */
  readonly unusual: boolean;
  readonly limit: string;
};

/** Published with the endurance times of healthy adults (Archives of Physical Medicine, 1999; memory). */
export const TRUNK_RATIO_SOURCE =
  'Endurance times of healthy adults, Archives of Physical Medicine and Rehabilitation 1999 (memory).';

/**
 * How the trunk's endurance holds stand to each other. A ratio is given only where both holds were
 * measured and the second is not zero.
 *
 * @param holds seconds
 * @example trunkRatios({ flexor: 120, extensor: 100, left: 60, right: 80 })[0]?.ratio // 1.2
 */
export function trunkRatios({ flexor, extensor, left, right }: TrunkHolds): TrunkRatio[] {
  const rows: TrunkRatio[] = [];
  const add = (
    name: string,
    a: number | null,
    b: number | null,
    limit: string,
    unusual: (ratio: number) => boolean,
  ) => {
    if (a !== null && b !== null && b > 0)
      rows.push({ name, ratio: a / b, unusual: unusual(a / b), limit });
  };
  add('Front to back', flexor, extensor, 'below 1.0', (ratio) => ratio >= 1);
  add('Right to left side', right, left, '0.95 to 1.05', (ratio) => Math.abs(ratio - 1) > 0.05);
  add('Left side to back', left, extensor, 'up to 0.75', (ratio) => ratio > 0.75);
  add('Right side to back', right, extensor, 'up to 0.75', (ratio) => ratio > 0.75);
  return rows;
}

/** Share of the maximum for pain-relief holds. Common practice, no source. */
export const RELIEF_BAND = { least: 0.3, most: 0.5 } as const;

/**
 * The force band of a pain-relief hold from the measured maximum, in newtons.
 *
 * @param maximum N, greater than 0
 * @example forceBand(80) // { least: 24, most: 40 }
 */
export function forceBand(maximum: number): { readonly least: number; readonly most: number } {
  return { least: maximum * RELIEF_BAND.least, most: maximum * RELIEF_BAND.most };
}

/** Newtons as the kilograms a scale shows. */
export function kilogramForce(newtons: number): number {
  return newtons / 9.80665;
}
