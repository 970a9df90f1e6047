import type { Exercise, WordedExercise } from '../exercise';
import type { ConfirmedFinding } from '../choose';
import { familiesFor } from '../choose';
import type { SaidPart } from './taught';

/** What the run sheet needs to know of one line. */
export type SheetLine = {
  readonly lineage: string;
  readonly exercise: Pick<
    WordedExercise,
    'name' | 'purpose' | 'muscles' | 'watch' | 'stop' | 'family'
  >;
  /** The dose in the patient's words. */
  readonly words: string;
  /** What of its set-up was measured for this patient, in words. */
  readonly setUp: readonly string[];
  /** Parts of the dose that are not written, in words. */
  readonly missing: readonly string[];
  /** Flags that were gone against, each with its reason. */
  readonly overridden: readonly string[];
};

/** One thing to say. */
export type Sentence = { readonly part: SaidPart; readonly title: string; readonly say: string };

const KIND_WORDS: Readonly<Record<Exercise['purpose'], string>> = {
  lengthen: 'A stretch: it lengthens what is short.',
  strengthen: 'Strengthening: it makes the muscle stronger.',
  endure: 'Endurance: it teaches the muscle to hold for longer.',
  mobilise: 'Mobility: it moves what is stiff.',
  glide: 'A nerve glide: it lets the nerve slide without being pulled.',
  relax: 'Relaxing: it lets what is tight let go.',
  're-educate': 'Control: it teaches the movement again.',
};

/** The findings a line answers, as its family is asked for by them. */
export function findingsAnswered(
  exercise: Pick<Exercise, 'family'>,
  findings: readonly ConfirmedFinding[],
): ConfirmedFinding[] {
  return findings.filter((finding) => familiesFor(finding).includes(exercise.family));
}

export const PAIN_STOPS =
  'Pain means stop and say so, and it will be changed. Stop and report: a headache, dizziness, numbness, tingling, sharp or shooting pain that is new, worse, spreading or not settling; any change of sight, new weakness, anything severe.';

/**
 * What is said for one exercise: its kind, its muscle and what it does, why this patient, the risk,
 * the numbers, and when to stop. Nothing is left out because a field is empty: the sheet says that
 * nothing is written.
 */
export function sentencesFor(
  line: SheetLine,
  findings: readonly ConfirmedFinding[],
): readonly Sentence[] {
  const { exercise, words, setUp, missing, overridden } = line;
  const because = findingsAnswered(exercise, findings).map(({ say }) => say);
  return [
    { part: 'kind', title: 'What kind it is', say: KIND_WORDS[exercise.purpose] },
    {
      part: 'muscle',
      title: 'Which muscle, and what it does',
      say: exercise.muscles.length > 0 ? capital(exercise.muscles.join(', ')) : 'Not written.',
    },
    {
      part: 'why',
      title: 'Why you',
      say:
        because.length > 0
          ? because.join(' ')
          : 'No confirmed finding asks for it: say in your own words why it is in the programme.',
    },
    {
      part: 'risk',
      title: 'The risk',
      say:
        [exercise.watch, ...overridden].filter((text) => text !== '').join(' ') || 'Not written.',
    },
    {
      part: 'numbers',
      title: 'The numbers',
      say: [
        words,
        ...setUp.map((one) => `${one}.`),
        ...(missing.length > 0 ? [`Not written: ${missing.join('; ')}.`] : []),
      ].join(' '),
    },
    { part: 'stop', title: 'When to stop', say: `${exercise.stop} ${PAIN_STOPS}`.trim() },
  ];
}

function capital(text: string): string {
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
}
