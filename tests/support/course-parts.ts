import type { SessionLog, Stretch } from '@/core/course';
import { formatDose, doseOf } from '@/core/dose';
import { type StepFacts, nextStep } from '@/core/progression';
import { addDays } from '@/core/units';
import { FIRST, exercise, facts, good } from './step-cases';

export const on = (...days: readonly (readonly [number, Partial<SessionLog>?])[]): SessionLog[] =>
  days.map(([day, change]) => ({
    id: `s${day}`,
    date: addDays(FIRST, day),
    ...good,
    hold: null,
    ...change,
  }));

/** One dose after another: who wrote it, from which day, and what was done. */
export type Part = readonly [
  dose: string,
  day: number,
  by: Stretch['by'],
  logs: readonly SessionLog[],
  id?: string,
];

export function line(
  school: Parameters<typeof facts>[0],
  parts: readonly Part[],
  change: Parameters<typeof facts>[2] = {},
): StepFacts {
  const id = parts.at(-1)?.[4] ?? 'tuck-lighten';
  const given = facts(school, 'x10', { exercise: exercise(id), ...change, logs: [] });
  const [first, ...rest] = parts.map(([dose, day, by, logs, other = 'tuck-lighten']): Stretch => ({
    exercise: exercise(other),
    dose: doseOf(dose),
    school,
    from: addDays(FIRST, day),
    by,
    sessions: logs,
  }));
  return { ...given, course: [first as Stretch, ...rest] };
}
export const said = (given: StepFacts) => {
  const { move, dose, exercise: other, why } = nextStep(given);
  return { move, to: dose && formatDose(dose), other: other?.id ?? null, why };
};
export const at = (day: number) => ({ today: addDays(FIRST, day) });
export const CLINICIAN = 'a clinician' as const;
export const PROPOSAL = 'a proposal' as const;
