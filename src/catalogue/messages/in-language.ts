import type { Ways } from '@/core/dose';
import type { ExerciseSnapshot } from '@/core/programme';
import { ENGLISH, type Language } from './patient';

/** A text of the catalogue in a language; as it was written where the language has none. */
export function inLanguage({ sayings }: Pick<Language, 'sayings'>, text: string): string {
  return Object.hasOwn(sayings, text) ? (sayings[text] ?? text) : text;
}

type Worded = Pick<
  ExerciseSnapshot,
  'name' | 'steps' | 'cues' | 'faults' | 'feel' | 'normal' | 'stop' | 'sides'
>;

/** Every text of an exercise that a patient meets, in the order it stands there. */
export function exerciseTexts({
  name,
  steps,
  cues,
  faults = {},
  feel,
  normal,
  stop,
  sides,
}: Worded): string[] {
  return [
    name,
    ...steps,
    ...cues,
    ...Object.entries(faults).flat(),
    ...[feel, normal, stop].filter((text) => text !== undefined),
    ...(sides ? [sides.left, sides.right] : []),
  ].filter((text) => text !== '');
}

/**
 * An exercise as a patient reads it: in the words the version kept for that language, else in the
 * catalogue's, and as it was written where there are none.
 */
export function exerciseIn(language: Language, exercise: ExerciseSnapshot): ExerciseSnapshot {
  if (language.tag === ENGLISH.tag) return exercise;
  const { told, ...plain } = exercise;
  if (told?.language === language.tag) return { ...plain, ...told.words };
  return { ...plain, ...wordsIn(language, exercise) };
}

/** The same words in a language, to be kept with a version. */
export function wordsIn(language: Language, exercise: Worded): Worded {
  const say = (text: string) => inLanguage(language, text);
  const { name, steps, cues, faults, feel, normal, stop, sides } = exercise;
  return {
    name: say(name),
    steps: steps.map(say),
    cues: cues.map(say),
    ...(faults && {
      faults: Object.fromEntries(
        Object.entries(faults).map(([what, fix]) => [say(what), say(fix)]),
      ),
    }),
    ...(feel !== undefined && { feel: say(feel) }),
    ...(normal !== undefined && { normal: say(normal) }),
    ...(stop !== undefined && { stop: say(stop) }),
    ...(sides !== undefined && { sides: sidesIn(language, sides) }),
  };
}

function sidesIn(language: Language, sides: Ways['sides']): Ways['sides'] {
  return (
    sides && {
      ...sides,
      left: inLanguage(language, sides.left),
      right: inLanguage(language, sides.right),
    }
  );
}

/** What the sides and directions of a line are, with their words in a language. */
export function waysIn(language: Language, ways: Ways): Ways {
  return { ...ways, sides: sidesIn(language, ways.sides) };
}
