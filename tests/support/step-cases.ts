import { NO_SETTINGS } from '@/core/school';
import { EXERCISES } from '@/catalogue';
import type { SessionLog } from '@/core/course';
import { type Dose, doseOf } from '@/core/dose';
import type { Exercise, SchoolId } from '@/core/exercise';
import {
  GOOD_SESSIONS,
  LEAST_RUNG_DAYS,
  NOTHING_DECIDED,
  type StepFacts,
} from '@/core/progression';
import { addDays, localDate } from '@/core/units';

export const FIRST = localDate('2026-10-01');
export const exercise = (id: string): Exercise => {
  const found = EXERCISES.find((one) => one.id === id);
  if (!found) throw new Error(id);
  return found;
};

export const good: Omit<SessionLog, 'date' | 'id'> = {
  share: 1,
  sets: [10],
  hold: null,
  effort: 4,
  pain: 1,
  nextMorning: 'none',
  skipped: null,
  stopped: 'no',
};
/** A session a day from the first on. */
export const sessions = (...changes: Partial<SessionLog>[]): SessionLog[] =>
  changes.map((change, day) => ({
    id: `s${day + 1}`,
    date: addDays(FIRST, day),
    ...good,
    ...change,
  }));
export const three = (change: Partial<SessionLog> = {}) => sessions(change, change, change);

export type Given = Partial<Omit<StepFacts, 'course' | 'rungs'>> & {
  readonly logs?: readonly SessionLog[];
  readonly above?: Exercise | null;
  readonly below?: Exercise | null;
};

/** A line as a clinician wrote it on the first day, with its sessions; a fortnight on. */
export function factsFor(one: Exercise, dose: Dose, given: Given = {}): StepFacts {
  const { logs = [], above = null, below = null, ...change } = given;
  return {
    exercise: one,
    course: [
      {
        exercise: one,
        dose,
        school: change.school?.id ?? null,
        from: FIRST,
        by: 'a clinician',
        sessions: logs,
      },
    ],
    school: null,
    today: addDays(FIRST, 12),
    goodSessions: GOOD_SESSIONS,
    leastRungDays: LEAST_RUNG_DAYS,
    precautions: [],
    rungs: { above: () => above, below: () => below },
    owned: [],
    bands: [],
    faults: 0,
    limb: null,
    limbSince: null,
    improvedOn: null,
    decided: NOTHING_DECIDED,
    ...change,
  };
}

/** The same of a lying tuck, or another exercise, with three good sessions where nothing else is said. */
export function facts(id: SchoolId | null, dose: string, given: Given = {}): StepFacts {
  const { exercise: one = exercise('tuck-lying'), ...change } = given;
  return factsFor(one, doseOf(dose), {
    school: id && { id, settings: NO_SETTINGS },
    logs: three(),
    above: exercise('tuck-lighten'),
    ...change,
  });
}
