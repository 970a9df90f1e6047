import { type ScreeningAnswers, truthOf } from './answers';

export type CordVerdict = {
  readonly kind: 'ruled in' | 'unlikely' | 'undecided';
  readonly positive: number;
  /** How many of the five are known. */
  readonly known: number;
};

/** The cluster counts an age over 45. */
export const CORD_AGE_OVER = 45;

/**
 * Five findings of a compressed neck cord (Cook 2010, from memory): gait deviation, Hoffmann,
 * inverted supinator sign, Babinski, age over 45. Three or more rule it in, one or none makes it
 * unlikely, two is undecided. A sign not tested may still be positive, so that it keeps "unlikely"
 * from being said while it could change the verdict.
 *
 * @example // gait deviation at age 50, the three signs negative: 2 of 5, undecided
 */
export function cordSigns(facts: ScreeningAnswers): CordVerdict {
  const five = [
    truthOf(facts, 'gait-sign'),
    truthOf(facts, 'hoffmann'),
    truthOf(facts, 'inverted-supinator'),
    truthOf(facts, 'babinski'),
    facts.age === null ? null : facts.age > CORD_AGE_OVER,
  ];
  const positive = five.filter((truth) => truth === true).length;
  const known = five.filter((truth) => truth !== null).length;
  const open = five.length - known;
  const kind = positive >= 3 ? 'ruled in' : positive + open <= 1 ? 'unlikely' : 'undecided';
  return { kind, positive, known };
}
