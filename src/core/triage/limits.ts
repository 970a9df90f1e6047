/** What the clinic sets of triage. Common practice, no source, for every default. */
export type TriageLimits = {
  /** Pain over this, 0–10, counts … */
  readonly painOver: number;
  /** … so many times in the last `painDays` days. */
  readonly painTimes: number;
  readonly painDays: number;
  /** Next-morning flares in the last `painDays` days. */
  readonly flares: number;
  readonly spreadingDays: number;
  /** Days without a word while something was due. */
  readonly silentDays: number;
  /** Adherence fell by so many percent points from the fortnight before. */
  readonly fallPercent: number;
  /** Weeks without clear change at good adherence. */
  readonly plateauWeeks: number;
  /** Days after which an unopened link is asked about. */
  readonly unopenedDays: number;
  /** Hours after which an alert nobody has taken goes to the lead. */
  readonly escalateHours: number;
  /** Good sessions in a row before anything grows. */
  readonly goodSessions: number;
};

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
};
