import type { DayEventBody, Soreness } from '@/core/adherence';
import type { RegionId } from '@/core/symptoms';
import type { EpisodeId, LocalDate } from '@/core/units';

/** What stands in the day's entry; null where nothing was chosen. */
export type DayAnswers = {
  /** Of yesterday's sessions, this morning. */
  readonly soreness: Soreness | null;
  /** 0–10. */
  readonly worst: number | null;
  /** The worst of each complaint that is treated, 0–10, where more than one is. */
  readonly worstOf: Readonly<Record<EpisodeId, number>>;
  readonly where: readonly RegionId[];
  readonly headache: boolean | null;
  readonly note: string;
  /** By activity, 0–10. */
  readonly scores: Readonly<Record<string, number>>;
};

export const NO_ANSWERS: DayAnswers = {
  soreness: null,
  worst: null,
  worstOf: {},
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
  const { soreness, where, headache, scores } = answers;
  const each = Object.entries(answers.worstOf).map(([episodeId, one]) => ({
    episodeId,
    worst: one,
  }));
  const worst = each.length > 0 ? Math.max(...each.map((one) => one.worst)) : answers.worst;
  const note = answers.note.trim();
  const activities = Object.entries(scores).map(([activity, score]) => ({ activity, score }));
  const ofTheDay = worst !== null || where.length > 0 || headache !== null || note !== '';
  return [
    ...(soreness === null ? [] : [{ type: 'morning' as const, date: morning, soreness }]),
    ...(ofTheDay
      ? [
          {
            type: 'daily' as const,
            date: about,
            worst,
            ...(each.length > 0 ? { worstOf: each } : {}),
            where,
            headache,
            note,
          },
        ]
      : []),
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
