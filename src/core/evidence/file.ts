import { ANSWERS } from './facts';
import { sizeInWords } from './guard';
import { ENDINGS } from './leaving';
import { PAIN_AFTER, type PainAfter } from '../outlook';
import type { Evidence } from './evidence';
import type { Band } from './told';

/** A row of the table that other programs read. Empty where something is not told. */
export type EvidenceRow = {
  readonly table: string;
  readonly group: string;
  readonly what: string;
  readonly value: string;
  readonly low: string;
  readonly high: string;
  readonly of: string;
};

export const EVIDENCE_COLUMNS = [
  'table',
  'group',
  'what',
  'value',
  'low',
  'high',
  'of',
] as const satisfies (keyof EvidenceRow)[];

/** What pain did after a proposal, as a heading. */
export const PAIN_AFTER_WORDS: Readonly<Record<PainAfter, string>> = {
  lower: 'Pain lower after',
  higher: 'Pain higher after',
  neither: 'Neither',
  'too few days': 'Too few days told',
};

const number = (value: number | null | undefined, places = 0) =>
  value === null || value === undefined ? '' : value.toFixed(places);
export const bandInWords = ({ from, to }: Band) =>
  to === null ? `${from} and more` : from === to ? String(from) : `${from} to ${to}`;

/**
 * The very tables that are shown, row by row: nothing that the page hides stands in the file.
 *
 * @param exerciseName an exercise by its id
 */
export function evidenceRows(told: Evidence, exerciseName: (id: string) => string): EvidenceRow[] {
  if (told.kind === 'too few') return [];
  const rows: EvidenceRow[] = [];
  const put = (
    table: string,
    group: string,
    what: string,
    found: { value?: number | null; low?: number; high?: number } | null,
    of: string,
    places = 3,
  ) =>
    rows.push({
      table,
      group,
      what,
      value: number(found?.value, places),
      low: number(found?.low, places),
      high: number(found?.high, places),
      of,
    });
  for (const { name, episodes, endings, dose, changed, changedOf } of told.groups) {
    for (const ending of ENDINGS) {
      const share = endings[ending];
      put(
        `by ${told.by}`,
        name,
        `share ${ending}`,
        share && { ...share, value: share.share },
        String(episodes),
      );
    }
    put(
      `by ${told.by}`,
      name,
      'share of the dose, first four weeks',
      dose && { ...dose, value: dose.mean },
      number(dose?.of),
    );
    for (const { weeks, share, low, high } of changed)
      put(
        `by ${told.by}`,
        name,
        `pain changed by as much as matters within ${weeks} weeks`,
        { value: share, low, high },
        number(changedOf),
      );
  }
  for (const { count, ...band } of told.leavingWeeks)
    put('left in week', bandInWords(band), 'episodes', { value: count }, '', 0);
  for (const { what, count } of told.lastTold)
    put('told last by who left', what, 'episodes', { value: count }, '', 0);
  for (const { mean, low, high, of, most, ...band } of told.minutes) {
    put(
      'minutes a day',
      bandInWords(band),
      'share of the dose',
      { value: mean, low, high },
      number(of),
    );
    put(
      'minutes a day',
      bandInWords(band),
      'share who did 80 % and more',
      most && { ...most, value: most.share },
      number(of),
    );
  }
  for (const { id, sessions, patients, ...rates } of told.exercises)
    for (const what of ['flares', 'stops', 'leftOut'] as const)
      put(
        'per thousand sessions',
        exerciseName(id),
        what === 'leftOut' ? 'left out' : what,
        rates[what] && { ...rates[what], value: rates[what].per },
        `${sessions} sessions, ${sizeInWords(patients)} patients`,
        1,
      );
  for (const { move, answers, pain, trouble } of told.proposals) {
    for (const answer of ANSWERS) put('proposals', move, answer, { value: answers[answer] }, '', 0);
    for (const one of PAIN_AFTER)
      put('proposals', move, PAIN_AFTER_WORDS[one].toLowerCase(), { value: pain[one] }, '', 0);
    put(
      'proposals',
      move,
      'share with trouble in the fortnight after',
      trouble && { ...trouble, value: trouble.share },
      '',
    );
  }
  return rows;
}
