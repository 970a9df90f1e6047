import { addDays, localDate } from '../units';
import { ACTIVITY_MATTERS, type Matters, PAIN_MATTERS, isLevelCourse } from './course';

/** Four weeks of readings that go from 5 by so much, with what days differ by themselves. */
const weeks = (by: number) =>
  Array.from({ length: 28 }, (_, day) => ({
    date: addDays(localDate('2026-09-01'), day),
    value: 5 + (by * day) / 27 + ([0, 1, -1, 0.5, -0.5][day % 5] ?? 0),
  }));

// Two points matter of either (Farrar 2001; Stratford 1995, memory); what is sure of less is ours.
it.each<[string, Matters]>([
  ['pain', PAIN_MATTERS],
  ['an activity', ACTIVITY_MATTERS],
])('%s is level up to half of what matters, whichever way it goes', (_, matters) => {
  const level = [-1.5, -1, -0.5, 0, 0.5, 1, 1.5].map((by) => isLevelCourse(weeks(by), matters));
  expect(level).toEqual([false, true, true, true, true, true, false]);
});

it('says nothing of too few', () => {
  expect(isLevelCourse([], PAIN_MATTERS)).toBeNull();
  expect(isLevelCourse(weeks(0).slice(0, 2), PAIN_MATTERS)).toBeNull();
});
