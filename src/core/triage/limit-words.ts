import type { TriageLimits } from '../records';

/** The clinic's limits as the lead reads them. */
export const LIMIT_WORDS: Readonly<Record<keyof TriageLimits, string>> = {
  painOver: 'Call when pain is over (of 10)',
  painTimes: '… on so many days',
  painDays: '… of the last days',
  flares: 'Call after next-morning flares',
  spreadingDays: 'Call after days of spreading',
  silentDays: 'Decide after silent days',
  fallPercent: 'Decide when the dose done falls by (%)',
  plateauWeeks: 'Decide after weeks without change',
  unopenedDays: 'Decide after days of an unopened link',
  escalateHours: 'An alert goes to the lead after hours',
  goodSessions: 'Good days in a row before a line grows',
  leastRungDays: 'Days on a step before the next',
};
