/**
 * The least and most each number of a dose line may be. They are wide on purpose: they catch
 * a slip of the finger ("hold 100min"), not a clinical disagreement. Common practice, no source.
 */
export const LIMITS = {
  sets: [1, 20],
  reps: [1, 200],
  bouts: [1, 100],
  headSeconds: [0.5, 7200],
  holdSeconds: [0.5, 3600],
  moveSeconds: [0.5, 120],
  gapSeconds: [0.5, 3600],
  restSeconds: [0.5, 3600],
  breathSeconds: [1, 30],
  breathHoldSeconds: [0, 30],
  directions: [2, 8],
  angles: [2, 6],
  barriers: [2, 6],
  degrees: [1, 180],
  weight: [0.1, 500],
  maximumPercent: [1, 150],
  bandStretchPercent: [1, 300],
  effortPercent: [1, 100],
  perceivedEffort: [1, 10],
  tuckMm: [1, 80],
  tuckPercent: [1, 100],
  warmUpSets: [1, 19],
  timesPerDay: [1, 24],
  everyMinutes: [5, 720],
  everyDays: [1, 31],
  day: [1, 366],
} as const satisfies Record<string, readonly [number, number]>;

/** The most repetitions or bouts one line may ask in one session, over all sides and stations. */
export const MOST_REPS_A_LINE = 2000;

export type LimitName = keyof typeof LIMITS;
