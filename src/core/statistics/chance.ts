/** Chance from outside, seeded there: uniform 0–1, and standard normal. */
export type Chance = { readonly fraction: () => number; readonly normal: () => number };

/** Whether something of this likelihood, 0–1, happens this time. */
export const happens = ({ fraction }: Chance, likelihood: number): boolean =>
  fraction() < likelihood;
