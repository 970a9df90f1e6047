import type { BodySide } from '../findings';
import type { MeasureKindId } from '../measures';
import { type LocalDate, addDays, daysBetween, textOrder } from '../units';
import { ACTIVITY_MATTERS, HEADACHE_MATTERS, type Matters } from './course';
import type { Reading } from './reading';

/** Something that is followed, to be judged. */
export type Followed = {
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  readonly matters: Matters;
  readonly readings: readonly Reading[];
  /** What a number of it is, as it is said after it: " days a week". */
  readonly per?: string;
  /** It is something a person does, in their own words: no noun of a sentence. */
  readonly isActivity?: true;
  /** What was measured, where it is a measure. */
  readonly measure?: { readonly kind: MeasureKindId; readonly side: BodySide | null };
};

/** What patients say they can do of activities of their own, each a series: told once a week. */
export function followedActivities(
  reports: ReadonlyMap<
    LocalDate,
    { readonly activities: readonly { readonly activity: string; readonly score: number }[] }
  >,
): Followed[] {
  const series = new Map<string, Reading[]>();
  for (const [date, { activities }] of reports)
    for (const { activity, score } of activities)
      series.set(activity, [...(series.get(activity) ?? []), { date, value: score }]);
  return [...series].map(([activity, readings]) => ({
    id: `activity-${activity}`,
    name: activity,
    unit: 'of 10',
    matters: ACTIVITY_MATTERS,
    readings,
    isActivity: true,
  }));
}

const WEEK = 7;
/** A week of which fewer days were told says nothing of it. Ours. */
const LEAST_TOLD = 4;

/**
 * Days with a headache in each week, from the days that were told of it; nothing where there never was one.
 * A yes or no has no course of its own: its share of a week has.
 */
export function followedHeadaches(
  reports: ReadonlyMap<LocalDate, { readonly headache: boolean | null }>,
): Followed[] {
  const told = [...reports]
    .flatMap(([date, { headache }]) => (headache === null ? [] : [{ date, headache }]))
    .sort((a, b) => textOrder(a.date, b.date));
  const [first] = told;
  if (!first || told.every(({ headache }) => !headache)) return [];
  const weeks = new Map<number, { told: number; had: number }>();
  for (const { date, headache } of told) {
    const week = Math.floor(daysBetween(first.date, date) / WEEK);
    const known = weeks.get(week) ?? { told: 0, had: 0 };
    weeks.set(week, { told: known.told + 1, had: known.had + Number(headache) });
  }
  const readings = [...weeks]
    .filter(([, one]) => one.told >= LEAST_TOLD)
    .map(([week, one]): Reading => ({
      date: addDays(first.date, week * WEEK),
      value: (WEEK * one.had) / one.told,
    }));
  return [
    {
      id: 'headache',
      name: 'Headache',
      unit: 'days a week',
      per: ' days a week',
      matters: HEADACHE_MATTERS,
      readings,
    },
  ];
}
