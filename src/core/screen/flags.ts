import type { Dose } from '../dose';
import { FOR_EVERYBODY, PRECAUTIONS, type PrecautionId, type Trait } from './precautions';

/** Holds longer than this, seconds, at this effort or more, are long effortful ones. */
const LONG_HOLD_OVER = 30;
const EFFORTFUL_FROM = { percent: 30, perceived: 3 } as const;

/** What a dose can add to an exercise's traits. */
export const DOSE_TRAITS = ['long effortful hold', 'breath holding'] as const satisfies Trait[];

/**
 * What a dose itself adds to an exercise's traits: a hold over 30 s at 30 % of the maximum or 3 of
 * 10 and more, and a breath that is held. A hold whose effort is not written is not judged.
 *
 * @example doseTraits(parse('3x60s rpe 3-5')) // ['long effortful hold']
 * @example doseTraits(parse('x6 breath 4-4-4')) // ['breath holding']
 */
export function doseTraits(dose: Dose): Trait[] {
  const held = dose.head.kind === 'bouts' ? dose.head.span : dose.hold;
  const { effort, breath } = dose;
  const long =
    held !== undefined &&
    effort !== undefined &&
    held.most > LONG_HOLD_OVER &&
    effort.range.most >= EFFORTFUL_FROM[effort.kind];
  return [
    ...(long ? (['long effortful hold'] as const) : []),
    ...(breath !== undefined && breath.hold > 0 ? (['breath holding'] as const) : []),
  ];
}

export type Flag = { readonly precaution: PrecautionId; readonly trait: Trait };

/**
 * Which of a patient's precautions, and of those for everybody, speak against these traits, each
 * trait once for a precaution.
 */
export function flagsOn(precautions: readonly PrecautionId[], traits: readonly Trait[]): Flag[] {
  return [...precautions, ...FOR_EVERYBODY].flatMap((precaution) => {
    const flags: readonly Trait[] = PRECAUTIONS[precaution].flags;
    return [...new Set(traits)]
      .filter((trait) => flags.includes(trait))
      .map((trait) => ({ precaution, trait }));
  });
}
