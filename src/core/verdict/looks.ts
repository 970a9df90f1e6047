import { itemAt } from '../units';
import { belowChange } from './answers';
import { changeOf } from './averaged';
import type { At } from './model';

/** A course is looked at after every so many days. */
export const LOOK_EVERY = 7;
/** A look is made so many days early, and made anew on them: whoever began a little late loses no week. */
const EARLY = 2;
/** Fewer readings, or fewer days, say nothing yet. Common practice, no source. */
export const LEAST_READINGS = 8;
export const LEAST_DAYS = 14;
/** Two looks agree at the earliest after so many days. */
export const SAID_FROM_DAYS = LEAST_DAYS + LOOK_EVERY - EARLY;
/** From the first to the last of them: both ends of a fortnight may be untold. */
const LEAST_SPAN = 10;

/** A change counts from this share of what matters on: less is no change a person would notice. Ours. */
const MARGIN = 0.375;
/**
 * How sure a look must be, and that of the week before, for a verdict to be said. Tuned on the simulated
 * clinic of `scripts/verdicts` with another seed than the one that is reported, 5,000 diaries a truth.
 */
const SURE_BETTER = [1, 0.98, 0.95, 0.8, 0.61, 0.72, 0.74, 0.78, 0.8] as const;
const SURE_WORSE = 0.7;
/** Worse is withdrawn once a look is less sure than this. */
const KEEP_WORSE = 0.5;
/** So sure the week before must have been. */
const SURE_BEFORE = 0.1;
/** How sure a look at the readings since must be for better to be withdrawn, or to come back. */
const SURE_LATER = 0.8;

const sureBetter = (look: number) => itemAt(SURE_BETTER, Math.min(look, SURE_BETTER.length - 1));

/** What is said of a course after a look. */
export type Said = 'nothing' | 'better' | 'worse' | 'was better';

/** How sure one look is, 0–1, that it has become better, and worse, by more than the margin. */
type Sure = { readonly better: number; readonly worse: number };
const NOT_SURE: Sure = { better: 0, worse: 0 };

/**
 * How sure a look at these readings is.
 *
 * @param told less is better, days from the first reading on
 */
export function sureOf(told: readonly At[], matters: number): Sure {
  if (told.length < LEAST_READINGS) return NOT_SURE;
  const [{ day: first }, newest] = [itemAt(told, 0), itemAt(told, -1)];
  if (newest.day - first + 1 < LEAST_SPAN) return NOT_SURE;
  const found = changeOf(
    told.map(({ day, value }) => ({ day: day - first, value })),
    matters,
  );
  // A newest day worse than all before never makes a course look better.
  const isWorst = told.slice(0, -1).every(({ value }) => value < newest.value);
  return {
    better: isWorst ? 0 : belowChange(found, -MARGIN * matters),
    worse: 1 - belowChange(found, MARGIN * matters),
  };
}

/**
 * What is said of a course, week by week: better and worse when two looks agree. Better is withdrawn only
 * for cause: a later worsening, judged on the readings since it was first seen. Worse is withdrawn when a
 * look does not see it any more.
 *
 * @param told less is better, days from the first reading on, rising
 * @param until days that have passed since the first reading, that day counted
 * @returns what is said after each look, oldest first
 */
export function lookByLook(told: readonly At[], matters: number, until: number): readonly Said[] {
  const said: Said[] = [];
  let before = NOT_SURE;
  let beforeSince = NOT_SURE;
  /** From which day on a worsening would be a later one; null where nothing was better. */
  let since: number | null = null;
  for (let days = LEAST_DAYS; days <= until + EARLY; days += LOOK_EVERY) {
    const seen = told.filter(({ day }) => day < days);
    const now = said.at(-1) ?? 'nothing';
    if (since === null) {
      const sure = sureOf(seen, matters);
      const next = fromStart(said.length, now, sure, before);
      if (next === 'better') since = days - LOOK_EVERY * 2;
      before = sure;
      said.push(next);
    } else {
      const from = since;
      const later = sureOf(
        seen.filter(({ day }) => day >= from),
        matters,
      );
      const next = afterBetter(now, later, beforeSince, () => sureOf(seen, matters));
      // What came back after a relapse is judged from the relapse on.
      if (next !== now) since = days - LOOK_EVERY * 2;
      beforeSince = next === now ? later : NOT_SURE;
      said.push(next);
    }
  }
  return said;
}

const agree = (sure: number, before: number, wanted: number) =>
  sure >= wanted && before >= SURE_BEFORE;

function fromStart(look: number, now: Said, sure: Sure, before: Sure): Said {
  if (agree(sure.better, before.better, sureBetter(look))) return 'better';
  if (agree(sure.worse, before.worse, SURE_WORSE)) return 'worse';
  return now === 'worse' && sure.worse >= KEEP_WORSE ? 'worse' : 'nothing';
}

/** Once better was said: it stands until it got worse since, and comes back when it got better since. */
function afterBetter(now: Said, later: Sure, before: Sure, fromTheStart: () => Sure): Said {
  const isWorse = agree(later.worse, before.worse, SURE_LATER);
  if (now === 'better') return isWorse ? relapsed(fromTheStart) : 'better';
  if (agree(later.better, before.better, SURE_LATER)) return 'better';
  return relapsed(fromTheStart);
}

/** Back where it began, or beyond that. */
const relapsed = (fromTheStart: () => Sure): Said =>
  fromTheStart().worse >= SURE_WORSE ? 'worse' : 'was better';

/**
 * Whether one look at these readings sees neither a change for the better nor one for the worse.
 *
 * @returns null where there are too few readings to say
 */
export function isLevel(told: readonly At[], matters: number): boolean | null {
  const sure = sureOf(told, matters);
  if (sure === NOT_SURE) return null;
  return sure.better < LEVEL_BELOW && sure.worse < KEEP_WORSE;
}

/** Better is not said by any look that is less sure than this. */
const LEVEL_BELOW = Math.min(...SURE_BETTER);
