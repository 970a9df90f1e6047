import type { Exercise, ExerciseWords, WordedExercise } from '@/core/exercise';
import { type Catalogue, EXERCISES, together } from '../exercises';
import { ASSISTED_NECK } from './assisted-neck';
import { PRONE_W } from './blade-second';
import { CURVE_EXERCISES } from './curve';
import { HARDER_TUCKS } from './harder-tucks';
import { LEG_STRETCHES } from './hips-and-legs';
import { LOW_BACK_MOVEMENT } from './low-back-movement';
import { NECK_HOLD } from './neck-hold';
import { NECK_MOBILITY } from './neck-mobility';
import { NERVES } from './nerves';
import { NOD_AND_TUCK_LYING } from './nod-and-tuck-lying';
import { POSTURE } from './posture';
import { SHOULDER_BLADE } from './shoulder-blade';
import { STRETCH_EXERCISES } from './stretch';
import { TRUNK_AND_LIMBS } from './trunk-and-limbs';
import { LOW_BACK_EASY } from './trunk-on-floor';
import { TUCK_RESISTED } from './tuck-resisted';
import { TUCK_UPRIGHT } from './tuck-upright';
import { UPPER_BACK } from './upper-back';
import type { Worded } from './worded';

/** By the exercise's id. */
export const WORDS: Worded = {
  ...ASSISTED_NECK,
  ...PRONE_W,
  ...CURVE_EXERCISES,
  ...HARDER_TUCKS,
  ...LEG_STRETCHES,
  ...LOW_BACK_MOVEMENT,
  ...NECK_HOLD,
  ...NECK_MOBILITY,
  ...NERVES,
  ...NOD_AND_TUCK_LYING,
  ...POSTURE,
  ...SHOULDER_BLADE,
  ...STRETCH_EXERCISES,
  ...TRUNK_AND_LIMBS,
  ...LOW_BACK_EASY,
  ...TUCK_RESISTED,
  ...TUCK_UPRIGHT,
  ...UPPER_BACK,
};

/** What is told of an exercise: the clinic's own carry their words; null for one the catalogue has not. */
export function wordsOf(exercise: Exercise | WordedExercise): ExerciseWords | null {
  return 'steps' in exercise ? exercise : (WORDS[exercise.id] ?? null);
}

/**
 * A shipped exercise with its words.
 *
 * @throws where nobody has written any; a test looks at every one
 */
export function worded(exercise: Exercise): WordedExercise {
  const words = wordsOf(exercise);
  if (!words) throw new Error(`${exercise.id} has no words`);
  return { ...exercise, ...words };
}

/** Every exercise that ships with the application, with its words, in the order of `EXERCISES`. */
export const WORDED_EXERCISES: readonly WordedExercise[] = EXERCISES.map(worded);

/** A catalogue whose exercises carry their words: what is sent, taught and explained is taken from it. */
export type WordedCatalogue = Catalogue<WordedExercise>;

/** The catalogue that ships, with its words. */
export const WORDED: WordedCatalogue = together(WORDED_EXERCISES, []);

/** That with the clinic's own; the very same where it has none, so that what was found by it holds on. */
export function wordedCatalogueOf(own: readonly WordedExercise[]): WordedCatalogue {
  return own.length === 0 ? WORDED : together(WORDED_EXERCISES, own);
}
