import type { Dose, Ways } from '../dose';
import type { BodySide, FindingAbout } from '../findings';
import type { MeasureKindId } from '../measures';

const OTHER: Readonly<Record<BodySide, BodySide>> = { left: 'right', right: 'left' };

/** Their side is the way the head or trunk bends to: what is short then lies on the other side. */
const BENDS: readonly MeasureKindId[] = ['neck-side-bend', 'back-side-bend'];
/** Their side is where the face turns to. */
const TURNS: readonly MeasureKindId[] = ['neck-turn', 'upper-neck-turn'];
/** Findings of a side that is short, stiff or weak, for which an exercise is given on one side. */
const OF_A_SIDE = [
  'side-difference',
  'weak-side',
  'range-below-norm',
  'short-or-stiff',
  'nerve-tension',
] as const;

/**
 * The side to write for an exercise that answers a finding, by what the exercise's side names and
 * what the finding's side was: less bending to the right asks to lengthen the left, a weak push to
 * the right for the right, less turning to the right for turning to the right. Common practice.
 *
 * @returns null where the finding says nothing of this exercise's side: the clinician writes it
 * @example sideFor(lessSideBendToTheRight, sideNeckStretch) // 'left'
 */
export function sideFor(about: FindingAbout, { sides, directions }: Ways): BodySide | null {
  const { side, measure } = about;
  if (side === null || !(OF_A_SIDE as readonly string[]).includes(about.rule)) return null;
  // A push whose directions are named goes to the weak side.
  if (about.rule === 'weak-side' && directions.includes(side)) return side;
  if (sides === null) return null;
  if (about.rule === 'weak-side') return ['works', 'limb'].includes(sides.name) ? side : null;
  if (about.rule === 'nerve-tension') return sides.name === 'limb' ? side : null;
  if (measure !== null && BENDS.includes(measure))
    return sides.name === 'lengthened' ? OTHER[side] : null;
  if (measure !== null && TURNS.includes(measure)) return sides.name === 'turned' ? side : null;
  return ['lengthened', 'limb'].includes(sides.name) ? side : null;
}

/**
 * A dose on the side a finding asks for: as its side, or, where the exercise names its directions, as
 * the one direction.
 */
export function onSide(dose: Dose, side: BodySide | null, { sides, directions }: Ways): Dose {
  if (side === null) return dose;
  if (directions.includes(side)) return { ...dose, directions: [side] };
  return sides === null ? dose : { ...dose, side };
}
