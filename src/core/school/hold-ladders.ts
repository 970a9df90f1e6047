/** Holds to climb through, seconds (common practice, no source): the trade has three ladders. */
export const HOLD_LADDERS: readonly (readonly number[])[] = [
  [3, 5, 10],
  [10, 30, 60],
  [30, 60],
];
