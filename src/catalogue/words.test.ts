import { syllable } from 'syllable';
import { fleschKincaid } from 'flesch-kincaid';
import { parseDose, readDose } from '@/core/dose';
import { DOSE_FOR_CLINICIAN } from './messages/clinician-texts';

import { WORDED_EXERCISES } from './wording';
import { sayPhrases } from './messages';
import { ENGLISH } from './messages/patient';
import { allSayings } from './sayings';

/**
 * The words of docs/words.md: one for one thing. What is refused stands there beside the word that is
 * said instead.
 */
const REFUSED_TO_PATIENTS =
  /\b(reps?|bouts?|workouts?|routines?|drills?|circuits?|regimens?|training session|physio\w*|therapists?|devices?|appointments?|app|website|log ?in|isometrics?|scapula\w*|cervical|lumbar|symptoms?|times over|in a row|plan|statistics?|significant\w*|average)\b/i;
const REFUSED_TO_CLINICIANS = /\b(reps?|workouts?|routines?|drills?|circuits?|appointments?)\b/i;

/** A text without the names of its values and its choices. */
function plain(text: string): string {
  return text
    .replace(/\{\w+, (?:plural|select),/g, ' ')
    .replace(/\{\w+(?:, number)?\}/g, '5')
    .replace(/(?:=2|one|two|few|many|other|left|right|front|little|half) \{/g, '. ')
    .replace(/[{}#]/g, ' ');
}

const TEXTS = Object.entries(ENGLISH.texts).map(([key, text]) => [key, plain(text)] as const);
const SAYINGS = allSayings().map(({ text, exerciseId }) => [exerciseId, text] as const);

describe('one word for one thing', () => {
  it('in every text a patient meets', () => {
    const refused = [...TEXTS, ...SAYINGS].filter(([, text]) => REFUSED_TO_PATIENTS.test(text));
    expect(refused).toEqual([]);
  });

  it('in every dose a clinician reads', () => {
    const refused = Object.entries(DOSE_FOR_CLINICIAN).filter(([, text]) =>
      REFUSED_TO_CLINICIANS.test(plain(text)),
    );
    expect(refused).toEqual([]);
  });

  it('shows no date by its numbers, and no source', () => {
    const odd = [...TEXTS, ...SAYINGS].filter(([, text]) =>
      /\d{4}-\d{2}-\d{2}|et al|\(\d{4}\)/.test(text),
    );
    expect(odd).toEqual([]);
  });
});

/** From this many words on a text is long enough for its grade to mean something; ours. */
const GRADED_WORDS = 8;
const HIGHEST_GRADE = 6;

const sentence = (text: string) => (/[.!?]$/.test(text) ? text : `${text}.`);

/**
 * The school grade at which a text is understood (Kincaid, Fishburne, Rogers and Chissom 1975: 0.39 words a
 * sentence + 11.8 syllables a word − 15.59), with syllables counted by the package.
 */
function grade(text: string): number {
  const words = text.match(/[\p{L}’'-]+|\d+/gu) ?? [];
  return fleschKincaid({
    sentence: (sentence(text).match(/[.!?:;]+(\s|$)/g) ?? []).length,
    word: words.length,
    syllable: words.reduce(
      (sum, word) => sum + (/\d/.test(word) ? 1 : Math.max(1, syllable(word))),
      0,
    ),
  });
}

const wordsIn = (text: string) => (text.match(/[\p{L}’'-]+|\d+/gu) ?? []).length;

describe('what a child of twelve reads', () => {
  it('is graded as the formula says', () => {
    // By hand: 6 words, 1 sentence, 6 syllables.
    expect(grade('The cat sat on the mat.')).toBeCloseTo(0.39 * 6 + 11.8 - 15.59, 10);
    expect(grade('Utilise perpendicular anatomical positioning.')).toBeGreaterThan(HIGHEST_GRADE);
  });

  it('is every text of the screens', () => {
    const hard = TEXTS.filter(
      ([, text]) => wordsIn(text) >= GRADED_WORDS && grade(text) > HIGHEST_GRADE,
    );
    expect(hard.map(([key, text]) => `${grade(text).toFixed(1)} ${key}: ${text}`)).toEqual([]);
  });

  it('is every sentence of every exercise', () => {
    const hard = SAYINGS.filter(
      ([, text]) => wordsIn(text) >= GRADED_WORDS && grade(text) > HIGHEST_GRADE,
    );
    expect(hard.map(([id, text]) => `${grade(text).toFixed(1)} ${id}: ${text}`)).toEqual([]);
  });

  it('is every exercise as a whole, with each of its doses filled in', () => {
    const hard = WORDED_EXERCISES.flatMap((exercise) => {
      const { id, name, mode, steps, cues, feel, normal, stop, faults } = exercise;
      const words = [name, ...steps, ...cues, ...Object.values(faults), feel, normal, stop];
      return [exercise.usualDose, ...Object.values(exercise.doses)].flatMap((text) => {
        const dose = parseDose(text);
        if (!dose.ok) return [`${id}: ${dose.say}`];
        const said = sayPhrases(readDose(dose.value, mode, exercise));
        const whole = grade([...words.filter(Boolean).map(sentence), said].join(' '));
        return Math.max(whole, grade(said)) > HIGHEST_GRADE
          ? [`${id} ${whole.toFixed(1)} ${grade(said).toFixed(1)}: ${said}`]
          : [];
      });
    });
    expect(hard).toEqual([]);
  });
});
