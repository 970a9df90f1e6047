import type { SessionLog } from '../../course';
import type { Dose } from '../../dose';
import { SCHOOLS } from '../../school';
import { heavier } from './heavier';
import {
  type Growth,
  READY,
  type Readiness,
  type SchoolRule,
  type Standing,
  notYet,
} from './school';

/** Three sets of ten to fifteen, then five of five to seven. */
const WORKING = { from: 10, to: 15 } as const;
const PERFORMANCE = { from: 5, to: 7 } as const;

/** What a set came to: as it was counted where it was, else as it was played. */
function repsOfSetDone({ counted, sets }: SessionLog, at: number): number {
  return counted?.find(({ set }) => set === at + 1)?.reps ?? sets[at] ?? 0;
}

/** Every set reached the most that is written: 15 of 10–15, 7 of 5–7; the warm-up does not count. */
function allSetsFull(dose: Dose, log: SessionLog): Readiness {
  const { head } = dose;
  if (head.kind !== 'sets') return READY;
  const done = Math.max(log.sets.length, log.counted?.length ?? 0);
  if (done < head.sets.least) return notYet(`${done} of ${head.sets.least} sets`);
  const working = Array.from({ length: done }, (_, at) => repsOfSetDone(log, at)).slice(
    dose.warmUpSets ?? 0,
  );
  const poorest = Math.min(...working);
  return poorest >= head.reps.most
    ? READY
    : notYet(`${poorest} of ${head.reps.most} in the poorest set`);
}

function next(standing: Standing): Growth {
  const { dose } = standing;
  const { head } = dose;
  if (head.kind !== 'sets')
    return { kind: 'stays', why: 'Sets of repetitions are what it grows by.' };
  const { least, most } = head.reps;
  if (most > WORKING.to) return { kind: 'stays', why: 'The learning phase lasts its two weeks.' };
  if (most === WORKING.to) return heavier(standing, most, WORKING.from);
  if (most <= PERFORMANCE.to) return heavier(standing, most, PERFORMANCE.from);
  const reps = { least, most: Math.min(WORKING.to, Math.floor(most * 1.5)) };
  return {
    kind: 'dose',
    dose: { ...dose, head: { ...head, reps } },
    measure: 'volume',
    why: `All sets reached ${most}: up to ${reps.most} before the load grows.`,
  };
}

/** Repetitions first, then a real step in load and back to ten. */
export const VOLUME_LOAD: SchoolRule = {
  ...SCHOOLS['volume-load'],
  ready: allSetsFull,
  next,
  back: ['load', 'band', 'volume', 'effort', 'days', 'times'],
};
