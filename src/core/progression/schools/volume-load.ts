import type { SessionLog } from '../../course';
import type { Dose } from '../../dose';
import { heavier } from './heavier';
import {
  type Growth,
  NO_BOUNDS,
  READY,
  type Readiness,
  type School,
  type Standing,
  TRADE,
  notYet,
} from './school';

/** Three sets of ten to fifteen, then five of five to seven. */
const WORKING = { from: 10, to: 15 } as const;
const PERFORMANCE = { from: 5, to: 7 } as const;
const MOST_VOLUME = 60;

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
export const VOLUME_LOAD: School = {
  id: 'volume-load',
  name: 'Volume, then load',
  says: 'Two weeks of 20–30 easy repetitions to learn; 3 × 10–15 until all three sets reach 15, then a real step in load and back to 10; after six weeks 5 × 5–7, the first two lighter.',
  source: `${TRADE} Novices gain at about 60 % of one-rep maximum.`,
  fits: ({ mode, purpose }) => mode === 'moved' && purpose === 'strengthen',
  reads: (dose) => dose.head.kind === 'sets' && dose.hold === undefined,
  start: () => '1-2x20-30 rest 60s daily',
  phases: [
    {
      fromDay: 15,
      dose: '3x10-15 rest 60s every other day',
      why: 'From week 3: where 3 × 10 is moderately hard; up to 15, then a real step in load.',
    },
    {
      fromDay: 57,
      dose: '5x5-7 rest 2min warm-up 2 every other day',
      why: 'After six weeks of that: 5 × 5–7, the first two sets lighter; as load rises, volume falls.',
    },
  ],
  ready: allSetsFull,
  next,
  back: ['load', 'band', 'volume', 'effort', 'days', 'times'],
  bounds: { ...NO_BOUNDS, volume: MOST_VOLUME },
  pace: 'good days',
};
