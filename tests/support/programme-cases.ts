import { NO_SETTINGS, type SchoolChoice, schoolsFor, startDose } from '@/core/school';
import fc from 'fast-check';
import { EXERCISES } from '@/catalogue';
import { type Dose } from '@/core/dose';
import type { Exercise } from '@/core/exercise';
import { type PlannedLine, plannedLine } from '@/core/programme';
import type { WakingHours } from '@/core/schedule';
import { addDays, localDate } from '@/core/units';
import { dose, doseFrom } from './dose-lines';

export const FIRST = localDate('2026-10-01');

export const exercise: fc.Arbitrary<Exercise> = fc.constantFrom(...EXERCISES);

export function exerciseOf(id: string): Exercise {
  const found = EXERCISES.find((one) => one.id === id);
  if (!found) throw new Error(`no exercise ${id}`);
  return found;
}

/** Schools of an exercise with and without a measured maximum and a ladder of its own. */
export function choicesFor(one: Exercise): SchoolChoice[] {
  return schoolsFor(one).flatMap((id) => [
    { id, settings: NO_SETTINGS },
    { id, settings: { holds: [4, 8, 16], tenRepMaximum: 12, unit: 'kg' as const } },
  ]);
}

export const waking: fc.Arbitrary<WakingHours> = fc.constantFrom<WakingHours[]>(
  { wake: 420 as never, sleep: 1320 as never },
  { wake: 360 as never, sleep: 60 as never },
  { wake: 1200 as never, sleep: 600 as never },
);

/** An exercise with a dose that fits it: its own, its school's or any. */
const dosed: fc.Arbitrary<{ exercise: Exercise; dose: Dose; school: SchoolChoice | null }> = fc
  .tuple(exercise, dose, fc.nat(), fc.nat({ max: 3 }))
  .map(([one, any, nth, kind]) => {
    const choices = choicesFor(one);
    const school = kind === 0 ? null : (choices[nth % Math.max(1, choices.length)] ?? null);
    if (kind === 1) return { exercise: one, dose: doseFrom(one.usualDose), school };
    return school && kind === 2
      ? { exercise: one, dose: startDose(school.id, one, school.settings), school }
      : { exercise: one, dose: any, school };
  });

/** Lines of a programme, some begun earlier, some tied to a part of the day. */
export const plannedLines: fc.Arbitrary<PlannedLine[]> = fc
  .array(
    fc.tuple(
      dosed,
      fc.constantFrom(0, 0, 3, 20),
      fc.constantFrom(null, null, 'morning' as const, 'midday' as const, 'evening' as const),
    ),
    { minLength: 1, maxLength: 5 },
  )
  .map((rows) =>
    rows.map(([{ exercise: one, dose: given, school }, ago, session], i) =>
      plannedLine(`line-${i + 1}`, one, given, addDays(FIRST, -ago), school, session),
    ),
  );
