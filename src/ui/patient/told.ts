import type { DayEventBody, Soreness } from '@/core/adherence';
import type { RegionId } from '@/core/symptoms';
import type { LocalDate } from '@/core/units';

/** What stands in the day's entry; null where nothing was chosen. */
export type DayAnswers = {
  /** Of yesterday's sessions, this morning. */
  readonly soreness: Soreness | null;
  /** 0–10. */
  readonly worst: number | null;
  readonly where: readonly RegionId[];
  readonly headache: boolean | null;
  readonly note: string;
  /** By activity, 0–10. */
  readonly scores: Readonly<Record<string, number>>;
};

export const NO_ANSWERS: DayAnswers = {
  soreness: null,
  worst: null,
  where: [],
  headache: null,
  note: '',
  scores: {},
};

/**
 * What an entry tells: nothing of what was not answered.
 *
 * @param today the week is about today
 * @param about the day the rest is about
 * @param morning the morning after the sessions that are asked about
 */
export function dayTold(
  answers: DayAnswers,
  today: LocalDate,
  about: LocalDate,
  morning: LocalDate = today,
): DayEventBody[] {
  const { soreness, worst, where, headache, scores } = answers;
  const note = answers.note.trim();
  const activities = Object.entries(scores).map(([activity, score]) => ({ activity, score }));
  const ofTheDay = worst !== null || where.length > 0 || headache !== null || note !== '';
  return [
    ...(soreness === null ? [] : [{ type: 'morning' as const, date: morning, soreness }]),
    ...(ofTheDay ? [{ type: 'daily' as const, date: about, worst, where, headache, note }] : []),
    ...(activities.length > 0 ? [{ type: 'weekly' as const, date: today, activities }] : []),
  ];
}

/** What a check-in after a session tells; null where nothing was answered. */
export function checkInTold(
  pain: number | null,
  effort: number | null,
  words: string,
): { readonly pain: number | null; readonly effort: number | null; readonly word: string } | null {
  const word = words.trim();
  return pain === null && effort === null && word === '' ? null : { pain, effort, word };
}
