/** Ten sections, each 0–5; null is not answered. The questionnaires' wording is licensed: only titles here. */
export type SectionScores = readonly (number | null)[];

export const NECK_SECTIONS = [
  'Pain intensity',
  'Personal care',
  'Lifting',
  'Reading',
  'Headaches',
  'Concentration',
  'Work',
  'Driving',
  'Sleeping',
  'Recreation',
] as const;

export const BACK_SECTIONS = [
  'Pain intensity',
  'Personal care',
  'Lifting',
  'Walking',
  'Sitting',
  'Standing',
  'Sleeping',
  'Sex life',
  'Social life',
  'Travelling',
] as const;

/** The neck index is refused with more sections missing than this (memory). */
export const NECK_MOST_MISSING = 2;

function answered(scores: SectionScores): number[] {
  return scores.filter((score): score is number => score !== null);
}

/**
 * Neck Disability Index (Vernon & Mior 1991): the sum of ten sections, of 50; pro rata when one or
 * two are unanswered, refused when more are (memory).
 *
 * @returns 0–50, or null when refused
 * @example neckIndex([2, 2, 2, 2, 2, 2, 2, 2, null, null]) // 20
 */
export function neckIndex(scores: SectionScores): number | null {
  const given = answered(scores);
  if (scores.length !== 10 || given.length < 10 - NECK_MOST_MISSING) return null;
  return (given.reduce((sum, score) => sum + score, 0) / given.length) * 10;
}

/** Bands of the Neck Disability Index (Vernon & Mior 1991). A pro-rata 4.4 is still below 5. */
export function neckIndexBand(index: number): string {
  if (index < 5) return 'no disability';
  if (index < 15) return 'mild';
  if (index < 25) return 'moderate';
  return index < 35 ? 'severe' : 'complete';
}

/**
 * Oswestry index (Fairbank & Pynsent 2000): sum ÷ (5 × sections answered) × 100.
 *
 * @returns 0–100 %, or null when nothing was answered
 * @example backIndex([1, 1, 1, 1, 1, 1, 1, null, 1, 1]) // 20
 */
export function backIndex(scores: SectionScores): number | null {
  const given = answered(scores);
  if (given.length === 0) return null;
  return (100 * given.reduce((sum, score) => sum + score, 0)) / (5 * given.length);
}

/** Bands of twenty (Fairbank & Pynsent 2000), in words of our own. */
export function backIndexBand(percent: number): string {
  if (percent <= 20) return 'minimal';
  if (percent <= 40) return 'moderate';
  if (percent <= 60) return 'severe';
  return percent <= 80 ? 'very severe' : 'complete';
}

/** Activities of the patient's own, each 0 (cannot) to 10 (as before). */
export type ActivityScore = { readonly name: string; readonly score: number };

/** Detectable changes of the Patient-Specific Functional Scale, at 90 % (Stratford 1995). */
export const ACTIVITY_CHANGE = { mean: 2, one: 3 } as const;

/**
 * Patient-Specific Functional Scale: the mean of three to five activities (Stratford 1995).
 *
 * @returns 0–10, or null with fewer than three or more than five
 * @example activityMean([{ name: 'row', score: 3 }, { name: 'read', score: 5 }, { name: 'lift', score: 4 }]) // 4
 */
export function activityMean(activities: readonly ActivityScore[]): number | null {
  if (activities.length < 3 || activities.length > 5) return null;
  return activities.reduce((sum, { score }) => sum + score, 0) / activities.length;
}
