import type { Dose, Side } from '../dose';

/**
 * Exercises whose drawing in grammar 1 went the other way than the trade names it: "right" bent the
 * head to the right, which lengthens the left. Common practice, no source.
 */
const SWAPPED_IN_GRAMMAR_1: readonly string[] = [
  'side-neck-stretch',
  'blade-lifter-stretch',
  'cloth-rotation',
  'side-plank',
];

const SWAPPED: Readonly<Record<Side, Side>> = {
  left: 'right',
  right: 'left',
  each: 'each',
  alternating: 'alternating',
};

/**
 * A dose of a version as it was meant: the side of an old one is read by the grammar it was written
 * in. What was printed then stays as it was sent; this is the same movement under today's name.
 *
 * @param grammar the number stored with the version
 * @example asMeant(parse('30s right'), 'side-neck-stretch', 1) // 30s left: the head bends right
 */
export function asMeant(dose: Dose, exerciseId: string, grammar: number): Dose {
  return grammar >= 2 || dose.side === undefined || !SWAPPED_IN_GRAMMAR_1.includes(exerciseId)
    ? dose
    : { ...dose, side: SWAPPED[dose.side] };
}
