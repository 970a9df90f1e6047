/**
 * The daily adjustable scheme (after Knight 1979, rows as in later textbooks; memory). Ten
 * repetitions at half the working load, six at three quarters, then as many as possible at the full
 * load, then as many as possible at the adjusted load, which sets the next session's.
 */
export const ADJUSTABLE_PERCENT = [50, 75, 100] as const;

/** A change of load in pounds, least and most; negative is less. */
export type PoundsChange = { readonly least: number; readonly most: number };

type Row = { readonly upTo: number; readonly change: PoundsChange; readonly repeat?: true };
const by = (least: number, most = least): PoundsChange => ({ least, most });

const AFTER_THIRD: readonly Row[] = [
  { upTo: 2, change: by(-10, -5), repeat: true },
  { upTo: 4, change: by(-5, 0) },
  { upTo: 7, change: by(0) },
  { upTo: 12, change: by(5, 10) },
  { upTo: Infinity, change: by(10, 15) },
];

const AFTER_FOURTH: readonly Row[] = [
  { upTo: 2, change: by(-10, -5) },
  { upTo: 4, change: by(0) },
  { upTo: 7, change: by(5, 10) },
  { upTo: 12, change: by(5, 15) },
  { upTo: Infinity, change: by(10, 20) },
];

/** Kilograms in a pound, as it is defined. */
export const KILOGRAMS_A_POUND = 0.45359237;

export type AdjustedLoad = {
  readonly least: number;
  readonly most: number;
  /** The set is done again with the lighter load. */
  readonly repeat: boolean;
};

function adjusted(rows: readonly Row[], reps: number, load: number, unit: 'kg' | 'lb') {
  const row = rows.find(({ upTo }) => reps <= upTo);
  const scale = unit === 'kg' ? KILOGRAMS_A_POUND : 1;
  const change = row?.change ?? by(0);
  const shifted = (pounds: number) => Math.max(0, Math.round((load + pounds * scale) * 10) / 10);
  return {
    least: shifted(change.least),
    most: shifted(change.most),
    repeat: row?.repeat ?? false,
  };
}

/**
 * The load of the fourth set, from the repetitions of the third at the full working load.
 *
 * @param reps whole, 0 or more
 * @example fourthSetLoad(9, 60, 'lb') // 65–70
 */
export function fourthSetLoad(reps: number, load: number, unit: 'kg' | 'lb'): AdjustedLoad {
  return adjusted(AFTER_THIRD, reps, load, unit);
}

/**
 * The next session's working load, from the repetitions of the fourth set at its adjusted load.
 *
 * @example nextWorkingLoad(13, 70, 'lb') // 80–90
 */
export function nextWorkingLoad(reps: number, load: number, unit: 'kg' | 'lb'): AdjustedLoad {
  return adjusted(AFTER_FOURTH, reps, load, unit);
}
