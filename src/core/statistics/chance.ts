/** Chance from outside, seeded there: uniform 0–1, and standard normal. */
export type Chance = { readonly fraction: () => number; readonly normal: () => number };
