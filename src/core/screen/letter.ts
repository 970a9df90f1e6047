import { type LocalDate, shortDay } from '../units';
import { type ScreeningAnswers } from './answers';
import type { Outcome } from './outcome';
import { screen, yesInWords } from './screen';

export type LetterFacts = {
  readonly patientName: string;
  readonly complaint: string;
  readonly clinic: { readonly name: string; readonly phone: string };
  readonly author: string;
  readonly date: LocalDate;
  readonly to: string;
  readonly screening: ScreeningAnswers;
  /** Newest history in short sentences; may be empty. */
  readonly history: readonly string[];
  /** A home programme was sent before this screening. */
  readonly prescribed: boolean;
  /** Newest measures in short sentences; may be empty. */
  readonly measures: readonly string[];
};

const ASKS: Readonly<Record<Outcome, string>> = {
  emergency: 'Please see this patient at once.',
  'same day': 'Please give a medical opinion today.',
  refer: 'Please give an opinion before a home exercise programme is begun.',
  precautions: 'For your information.',
  go: 'For your information.',
};

/** Longest list copied into the letter, so that it stays on one page. */
const MOST_ITEMS = 8;

/**
 * The text of a referral letter from the record: who, why, what was found, what is asked. It names
 * findings and rules and no diagnosis. The clinician may change it before it is kept.
 *
 * @returns plain text of at most about one page, paragraphs parted by an empty line
 */
export function referralLetter(facts: LetterFacts): string {
  const { outcome, fired } = screen(facts.screening);
  const blocking = fired.filter((rule) => rule.outcome !== 'precautions');
  const pressure = facts.screening.pressure;
  return [
    `${facts.clinic.name}, ${facts.clinic.phone}\n${shortDay(facts.date)}`,
    `To: ${facts.to}`,
    `Re: ${facts.patientName}${facts.screening.age === null ? '' : `, ${facts.screening.age} years`}`,
    `Dear colleague,\n${facts.patientName} came to us with: ${facts.complaint}. ${ASKS[outcome === 'unfinished' ? 'refer' : outcome]}`,
    list(
      'Screening on this day brought up:',
      blocking.map((rule) => rule.reason),
    ),
    list('Answered with yes:', yesInWords(facts.screening)),
    pressure ? `Blood pressure ${pressure.systolic}/${pressure.diastolic} mmHg.` : '',
    list('History:', facts.history),
    list('Measured:', facts.measures),
    facts.prescribed
      ? 'A home exercise programme was prescribed before these findings.'
      : 'No home exercise has been prescribed.',
    'We make no diagnosis. Please let us know what you find, and whether and with which limits exercise may go ahead.',
    facts.author,
  ]
    .filter((part) => part !== '')
    .join('\n\n');
}

function list(head: string, items: readonly string[]): string {
  if (items.length === 0) return '';
  const more = items.length > MOST_ITEMS ? [`- and ${items.length - MOST_ITEMS} more`] : [];
  return [head, ...items.slice(0, MOST_ITEMS).map((item) => `- ${item}`), ...more].join('\n');
}
