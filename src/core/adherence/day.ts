import type { LocalDate } from '../units';

/** A line as far as one day's adherence needs it. */
export type DueLine = {
  readonly lineage: string;
  /** Occurrences due on the day, and allowed beyond them without being extra. */
  readonly due: number;
  readonly allowed: number;
  /** Work of one occurrence in seconds; weighs lines against each other. */
  readonly weight: number;
};

/** What was done of one line on one day: a share of the least dose for each session it was in. */
export type DoneLine = {
  readonly lineage: string;
  readonly shares: readonly number[];
  readonly beyondMost: number;
};

export type DayAdherence =
  | { readonly kind: 'before'; readonly date: LocalDate }
  | { readonly kind: 'future'; readonly date: LocalDate }
  | { readonly kind: 'paused'; readonly date: LocalDate; readonly extraSeconds: number }
  | { readonly kind: 'rest'; readonly date: LocalDate; readonly extraSeconds: number }
  | {
      readonly kind: 'due';
      readonly date: LocalDate;
      /** The day is not over. */
      readonly isToday: boolean;
      /** Share of the prescribed dose done, 0–1. */
      readonly share: number;
      readonly sessionsDue: number;
      readonly sessionsDone: number;
      /** Work beyond what was due and allowed, in seconds. */
      readonly extraSeconds: number;
    };

export type DayFacts = {
  readonly date: LocalDate;
  readonly today: LocalDate;
  /** First date of the first version; null when nothing was ever prescribed. */
  readonly start: LocalDate | null;
  readonly paused: boolean;
  readonly due: readonly DueLine[];
  readonly done: readonly DoneLine[];
  readonly sessionsDue: number;
  readonly sessionsDone: number;
};

/**
 * One day's adherence: the share of the prescribed dose that was done, weighted by held and moved
 * time. Each occurrence of a line counts at most once in full before weighting, so that over-doing
 * one exercise cannot hide the skipping of another. Future, paused and rest days have no share and
 * never count against the patient; extra work is told apart.
 */
export function dayAdherence(facts: DayFacts): DayAdherence {
  const { date, today, start, due, done } = facts;
  if (start === null || date < start) return { kind: 'before', date };
  if (date > today) return { kind: 'future', date };
  const doneOf = new Map(done.map((line) => [line.lineage, line]));
  let weight = 0;
  let credited = 0;
  let extraSeconds = 0;
  for (const line of due) {
    const { shares = [], beyondMost = 0 } = doneOf.get(line.lineage) ?? {};
    const capped = shares.reduce((sum, share) => sum + Math.min(1, share), 0);
    const extra = Math.max(0, capped - Math.max(line.due, line.allowed)) + beyondMost;
    weight += line.weight * line.due;
    credited += line.weight * Math.min(line.due, capped);
    extraSeconds += line.weight * extra;
  }
  if (facts.paused) return { kind: 'paused', date, extraSeconds };
  if (weight === 0) return { kind: 'rest', date, extraSeconds };
  return {
    kind: 'due',
    date,
    isToday: date === today,
    share: credited / weight,
    sessionsDue: facts.sessionsDue,
    sessionsDone: Math.min(facts.sessionsDue, facts.sessionsDone),
    extraSeconds,
  };
}

/** A session counts as done from half of its dose. Common practice, no source. */
export const SESSION_DONE_FROM = 0.5;

export type AdherenceSummary = {
  readonly daysDue: number;
  /** Mean of the days' shares, 0–1; null when no day was due. */
  readonly share: number | null;
  readonly sessionsDue: number;
  readonly sessionsDone: number;
  readonly extraSeconds: number;
};

/** Adherence over a span of days. Today counts only as far as it is done already. */
export function summarise(days: readonly DayAdherence[]): AdherenceSummary {
  let daysDue = 0;
  let shares = 0;
  let sessionsDue = 0;
  let sessionsDone = 0;
  let extraSeconds = 0;
  for (const day of days) {
    if (day.kind === 'paused' || day.kind === 'rest' || day.kind === 'due')
      extraSeconds += day.extraSeconds;
    if (day.kind !== 'due') continue;
    const stillOpen = day.isToday && day.share < 1;
    sessionsDone += day.sessionsDone;
    sessionsDue += stillOpen ? day.sessionsDone : day.sessionsDue;
    if (stillOpen) continue;
    daysDue += 1;
    shares += day.share;
  }
  return {
    daysDue,
    share: daysDue === 0 ? null : shares / daysDue,
    sessionsDue,
    sessionsDone,
    extraSeconds,
  };
}
