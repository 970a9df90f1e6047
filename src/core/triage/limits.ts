import type { TriageLimits } from '../records';

export type { TriageLimits };

/** Common practice, no source, for every default. */
export const TRIAGE_LIMITS: TriageLimits = {
  painOver: 7,
  painTimes: 2,
  painDays: 7,
  flares: 3,
  spreadingDays: 2,
  silentDays: 3,
  fallPercent: 30,
  plateauWeeks: 6,
  unopenedDays: 3,
  escalateHours: 24,
  goodSessions: 3,
  leastRungDays: 7,
};
