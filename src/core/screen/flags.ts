import type { Dose } from '../dose';
import { PRECAUTIONS, type PrecautionId, type Trait } from './precautions';

/** Holds longer than this, seconds, at this effort or more, are long effortful ones. */
const LONG_HOLD_OVER = 30;
const EFFORTFUL_FROM = { percent: 30, perceived: 3 } as const;

/**
 * What a dose itself adds to an exercise's traits: a hold over 30 s at 30 % of the maximum or 3 of
 * 10 and more. A hold whose effort is not written is not judged.
 *
 * @example doseTraits(parse('3x60s rpe 3-5')) // ['long effortful hold']
 */
export function doseTraits(dose: Dose): Trait[] {
  const held = dose.head.kind === 'bouts' ? dose.head.span : dose.hold;
  const { effort } = dose;
  if (!held || !effort || held.most <= LONG_HOLD_OVER) return [];
  return effort.range.most >= EFFORTFUL_FROM[effort.kind] ? ['long effortful hold'] : [];
}

export type Flag = { readonly precaution: PrecautionId; readonly trait: Trait };

/** Which of a patient's precautions speak against an exercise with these traits, each trait once. */
export function flagsOn(precautions: readonly PrecautionId[], traits: readonly Trait[]): Flag[] {
  return precautions.flatMap((precaution) => {
    const flags: readonly Trait[] = PRECAUTIONS[precaution].flags;
    return traits.filter((trait) => flags.includes(trait)).map((trait) => ({ precaution, trait }));
  });
}
