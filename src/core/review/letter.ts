import { type LocalDate, percentText, shortDay } from '../units';

export type LetterRow = {
  readonly name: string;
  readonly first: string;
  readonly last: string;
  readonly verdict: string;
};

/** Something of a letter under a heading of its own. */
type Part<T> = { readonly title: string; readonly items: readonly T[] };

/** All fixed texts of a letter in one language, as they are read. */
export type LetterTexts = {
  /** BCP 47. */
  readonly language: string;
  readonly title: string;
  readonly date: string;
  readonly paragraphs: readonly string[];
  readonly measures: Part<LetterRow>;
  readonly goals: Part<string>;
  /** What goes on, in plain words. */
  readonly programme: Part<string>;
  readonly caution: string;
};

/** A letter after a review, or at discharge, as it is kept: every number in it is from the record. */
export type OutcomeLetter = {
  readonly kind: 'review' | 'discharge';
  readonly clinic: { readonly name: string; readonly phone: string };
  readonly patientName: string;
  readonly author: string;
  readonly date: LocalDate;
  readonly complaint: string;
  readonly from: LocalDate;
  /** Written for the one who referred, with the patient's consent; else for the patient. */
  readonly forReferrer: boolean;
  readonly paragraphs: readonly string[];
  readonly measures: readonly LetterRow[];
  readonly goals: readonly string[];
  /** What goes on, in plain words. */
  readonly programme: readonly string[];
  /** In the practitioner's own words. */
  readonly words: string;
  readonly caution: string;
  /** The same for a patient who reads another language than the clinic's; the others have none. */
  readonly own?: LetterTexts | null | undefined;
};

export type LetterFacts = Omit<OutcomeLetter, 'paragraphs'> & {
  readonly sessionsDone: number;
  readonly sessionsDue: number;
  /** Share of the dose, 0–1; null when nothing was due. */
  readonly share: number | null;
  /** Verdicts in words. */
  readonly verdicts: readonly string[];
  readonly limbs: readonly string[];
  /** What else happened. */
  readonly beside: readonly string[];
};

/** A page holds so many rows; the rest stays in the record. */
export const MOST_LETTER_ROWS = 14;

/** The letter from its facts. It claims no cause, and leaves out what the record does not hold. */
export function outcomeLetter(facts: LetterFacts): OutcomeLetter {
  const { sessionsDone, sessionsDue, share, verdicts, limbs, beside, ...letter } = facts;
  const { patientName, complaint, from, date, forReferrer } = letter;
  const who = forReferrer ? patientName : 'You';
  const [was, did] = forReferrer ? ['was', 'did'] : ['were', 'did'];
  return {
    ...letter,
    measures: letter.measures.slice(0, MOST_LETTER_ROWS),
    paragraphs: [
      `${who} ${was} with us from ${shortDay(from)} to ${shortDay(date)} for: ${complaint}.`,
      ...(sessionsDue > 0
        ? [
            `${who} ${did} ${sessionsDone} of ${sessionsDue} sessions${share === null ? '' : `, ${percentText(share)} of the dose`}.`,
          ]
        : []),
      ...verdicts,
      ...limbs,
      ...(beside.length > 0 ? [`In the same time: ${beside.join('; ')}.`] : []),
    ],
  };
}

/** A letter as the clinic reads it. */
export function clinicTexts(letter: OutcomeLetter): LetterTexts {
  const { kind, date, paragraphs, measures, goals, programme, caution } = letter;
  return {
    language: 'en',
    title: letterTitle(letter),
    date: shortDay(date),
    paragraphs,
    measures: { title: 'Measured first and last', items: measures },
    goals: { title: 'Activities and goals', items: goals },
    programme: {
      title: kind === 'discharge' ? 'To keep going with' : 'What goes on',
      items: programme,
    },
    caution,
  };
}

/** What a letter is called at its head and in a reader’s window. */
export function letterTitle({
  kind,
  patientName,
}: Pick<OutcomeLetter, 'kind' | 'patientName'>): string {
  return kind === 'discharge' ? `Discharge: ${patientName}` : `Review: ${patientName}`;
}
