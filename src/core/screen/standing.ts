import type { EpisodeId, LocalDate } from '../units';
import { isScreeningOld } from './age';
import { type ScreeningOutcome, blocksPrescribing } from './outcome';

/**
 * Where the screening stands: an unscreened patient is not safe, and neither are answers that nobody
 * has confirmed, old ones, those of another episode, or those from before a sign to stop.
 */
export const SCREENED = [
  'current',
  'on paper',
  'none',
  'new episode',
  'waiting',
  'unfinished',
  'danger since',
  'old',
] as const;
export type Screened = (typeof SCREENED)[number];

/** A programme may be sent on these. */
const STANDS = ['current', 'on paper'] as const satisfies Screened[];

/** A practitioner's written reason may stand in for these: nothing was asked in this episode. */
const MISSING = ['none', 'new episode'] as const satisfies Screened[];

export type Unscreened = Exclude<Screened, (typeof STANDS)[number]>;

/** What is said where nothing may be sent, and what to do next. */
export const UNSCREENED: Readonly<Record<Unscreened, string>> = {
  none: 'Not screened yet: nobody has asked for the signs that forbid exercise. Screen first.',
  'new episode': 'The screening is of an earlier episode of care. Screen again.',
  waiting: 'Answers wait for a practitioner: go through them under Screen and confirm.',
  unfinished:
    'The screening is not finished: an unanswered question is not a no. Finish it under Screen.',
  'danger since':
    'A sign to stop or an injury was reported after the screening. Screen again before sending.',
  old: 'The screening is older than the clinic’s limit. Screen again.',
};

export function standsFor(screened: Screened): screened is (typeof STANDS)[number] {
  return (STANDS as readonly Screened[]).includes(screened);
}

/** Whether a written reason may stand in for the screening. */
export function isMissing(screened: Screened): boolean {
  return (MISSING as readonly Screened[]).includes(screened);
}

export type StandingFacts = {
  /** The newest one a practitioner stands behind. */
  readonly confirmed: {
    readonly outcome: ScreeningOutcome;
    readonly on: LocalDate;
    /** Milliseconds since 1970. */
    readonly at: number;
    readonly episodeId: EpisodeId | null;
  } | null;
  /** Answers newer than that, which nobody has confirmed. */
  readonly waiting: { readonly outcome: ScreeningOutcome } | null;
  /** When a practitioner wrote, in this episode and since its last visit, why none is here. */
  readonly reasonAt: number | null;
  /** The newest sign to stop, new weakness, worrying answer or injury. */
  readonly dangerAt: number | null;
  /** The newest open episode, or the newest of all. */
  readonly episodeId: EpisodeId | null;
  /** The day it was opened. */
  readonly openedOn: LocalDate | null;
  readonly today: LocalDate;
  /** Days for which the clinic lets a screening stand. */
  readonly lastsDays: number;
};

/**
 * Where a patient's screening stands for what is to be sent. A written reason stands in for a missing
 * one only: never for answers that forbid, that are unfinished, or that are older than a danger.
 *
 * @example // never screened, nothing written → 'none'
 */
export function standingOf(facts: StandingFacts): Screened {
  const { confirmed, waiting, reasonAt, dangerAt } = facts;
  if (waiting !== null && (confirmed === null || blocksPrescribing(waiting.outcome)))
    return waiting.outcome === 'unfinished' ? 'unfinished' : 'waiting';
  const ofEpisode =
    confirmed !== null &&
    (confirmed.episodeId === facts.episodeId ||
      // A screening asks after the whole person: one of another episode, taken since, is of this one too.
      (facts.openedOn !== null && confirmed.on > facts.openedOn));
  if (!ofEpisode) {
    if (reasonAt === null) return confirmed === null ? 'none' : 'new episode';
    return isAfter(dangerAt, reasonAt) ? 'danger since' : 'on paper';
  }
  if (confirmed.outcome === 'unfinished') return 'unfinished';
  if (isAfter(dangerAt, confirmed.at)) return 'danger since';
  return isScreeningOld(confirmed.on, facts.today, facts.lastsDays) ? 'old' : 'current';
}

const isAfter = (one: number | null, other: number) => one !== null && one > other;
