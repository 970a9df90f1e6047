import { type Seconds, exactly, seconds } from '../units';
import type { DoseNeeds } from './assumptions';
import type { DosePart } from './format';
import type { Dose } from './model';
import { barriersOf, blocksOf, repsOf, setsOf, sidesOf } from './volume';

/**
 * What stands in where neither the exercise nor its school says: for pauses the very paces that play
 * while they are unwritten, so that writing them changes no time. Common practice, no source.
 */
export const HOUSE = {
  gap: exactly(seconds(2)),
  rest: exactly(seconds(30)),
  nextDirection: exactly(seconds(5)),
  side: 'each',
  effort: { kind: 'perceived', range: { least: 3, most: 5 } },
  times: { kind: 'per day', times: exactly(1) },
  days: { kind: 'daily' },
  until: { kind: 'review' },
} as const satisfies Partial<Dose> & { readonly nextDirection: Dose['rest'] };

export type Completed = {
  readonly dose: Dose;
  /** The parts that were set, in the order of the dose line. */
  readonly filled: readonly DosePart[];
};

/**
 * A dose with every part that matters written: what the clinician wrote stays as it is, the rest
 * comes from the exercise's or school's own dose, else from the house. Completing twice changes
 * nothing more.
 *
 * @param like the dose to take missing parts from
 * @example completeDose(parse('3x10'), parse('3x10 rest 90s 40% every other day'), needs)
 *   // 3x10 gap 2s rest 90s 40% 1/day every other day until review
 */
export function completeDose(dose: Dose, like: Dose, needs: DoseNeeds): Completed {
  const filled: DosePart[] = [];
  let whole: Dose = dose;
  function fill<P extends DosePart>(part: P, value: Dose[P] | undefined): void {
    if (whole[part] !== undefined || value === undefined) return;
    whole = { ...whole, [part]: value };
    filled.push(part);
  }
  // In a dose of one block a written rest is its gap, so only what can stand is filled.
  const repsInBlock = repsOf(dose).most / blocksOf(dose).most / sidesOf(dose);
  const oneBlock = blocksOf(dose).most === 1;
  // Movements follow one another without a pause unless somebody writes one.
  const held = dose.hold !== undefined || dose.head.kind === 'bouts';
  if (repsInBlock > 1 && barriersOf(dose) === 1)
    fill('gap', like.gap ?? (held ? HOUSE.gap : undefined));
  if (!oneBlock) fill('rest', like.rest ?? restLike(dose, like.gap));
  // Where directions are written there is no side to ask for.
  if (needs.sided && whole.directions === undefined) fill('side', like.side ?? HOUSE.side);
  const pushed = dose.effort ?? dose.load ?? dose.band;
  if (needs.effort && pushed === undefined) {
    if (like.band) fill('band', like.band);
    else if (like.load && like.load.perSet.length === 1) fill('load', like.load);
    else fill('effort', like.effort ?? HOUSE.effort);
  }
  fill('times', like.times ?? HOUSE.times);
  fill('days', like.days ?? HOUSE.days);
  fill('until', like.until ?? HOUSE.until);
  return { dose: whole, filled };
}

/** Long pauses between single holds are rests by another name; short ones are not. */
function restLike(dose: Dose, gap: Dose['gap']): Dose['rest'] {
  const long: Seconds = seconds(20);
  if (gap && gap.least >= long) return gap;
  return setsOf(dose.head).most > 1 ? HOUSE.rest : HOUSE.nextDirection;
}
