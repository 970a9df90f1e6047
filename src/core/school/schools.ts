import { holdOf, repsOf, setsOf, sidesOf } from '../dose';
import type { SchoolId } from '../exercise';
import { ADJUSTABLE_PERCENT, ASCENDING_PERCENT, DESCENDING_PERCENT, schemeLoads } from '../load';
import { HOLD_LADDERS } from './hold-ladders';
import { hasScheme, schemeText } from './scheme';
import { NO_BOUNDS, type School, TRADE } from './school';

/** Same step, longer holds; then the next step. */
const LENGTHEN: School = {
  id: 'lengthen',
  name: 'Lengthen the hold',
  says: 'Same step, longer holds (3 → 5 → 10, 10 → 30 → 60 or 30 → 60 s), at most half as much again or 5 s at once; then the next step.',
  source: TRADE,
  fits: (exercise) => exercise.mode !== 'moved',
  reads: (dose) => holdOf(dose) !== null,
  start: ({ holds }) => `x10 hold ${holds[0] ?? 3}s gap 3s daily`,
  phases: [],
  // Bouts may be lain or stretched for longer; repetitions are not.
  bounds: { ...NO_BOUNDS, hold: { most: Math.max(...HOLD_LADDERS.flat()), bouts: false } },
  pace: 'good days',
};

/** Gravity out, gravity in, added resistance, added movement: each step by itself. */
const CLIMB: School = {
  id: 'climb',
  name: 'Climb the stairs',
  says: 'Gravity out, gravity in, added resistance, added movement, the tuck kept; each step by itself.',
  source: TRADE,
  fits: () => true,
  reads: () => true,
  start: () => 'x10 gap 2s daily',
  phases: [],
  bounds: NO_BOUNDS,
  pace: 'good days',
};

const MOST_VOLUME = 60;

/** Repetitions first, then a real step in load and back to ten. */
const VOLUME_LOAD: School = {
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
  bounds: { ...NO_BOUNDS, volume: MOST_VOLUME },
  pace: 'good days',
};

/** What every scheme of loads has in common: moved against a load, and a load written for every set. */
const OF_LOADS = {
  fits: ({ mode, needs }) => mode === 'moved' && needs.effort,
  reads: hasScheme,
  phases: [],
  bounds: NO_BOUNDS,
} as const satisfies Partial<School>;

const ASCENDING: School = {
  id: 'ascending',
  name: 'Ascending loads',
  says: 'Three sets of ten at 50, 75 and 100 % of the ten-rep maximum; with ten at the top, the maximum is estimated anew.',
  source: 'DeLorme & Watkins 1948.',
  ...OF_LOADS,
  start: (settings) => `3x10 ${schemeText(ASCENDING_PERCENT, settings)} rest 2min every other day`,
  pace: 'good days',
};

const DESCENDING_LOAD: School = {
  id: 'descending-load',
  name: 'Descending loads',
  says: 'Its mirror: ten at 100, 75 and 50 % of the ten-rep maximum, as it tires.',
  source: 'Textbook form of Zinovieff 1951, whose original used ten sets (memory).',
  ...OF_LOADS,
  start: (settings) => `3x10 ${schemeText(DESCENDING_PERCENT, settings)} rest 2min every other day`,
  pace: 'good days',
};

/** Every session's fourth set decides about the next. */
const ADJUSTABLE: School = {
  id: 'adjustable',
  name: 'Adjust each session',
  says: 'Ten at half the working load, six at three quarters, then as many as possible at the full load and at the adjusted one, which sets the next session.',
  source: 'After Knight 1979, rows as in later textbooks (memory).',
  ...OF_LOADS,
  reads: (dose) => hasScheme(dose) && setsOf(dose.head).most === 4,
  start: ({ tenRepMaximum, unit }) =>
    tenRepMaximum === null
      ? '10-6-max-max 50/75/100/100% 10rm rest 2min every other day'
      : `10-6-max-max ${schemeLoads(tenRepMaximum, ADJUSTABLE_PERCENT).join('/')}/adj ${unit} rest 2min every other day`,
  pace: 'every session',
};

/** The longest hold of the descending sets, seconds. */
export const DESCENDING_LONGEST_S = 15;

/** Six, then four, then two of a hold. */
const DESCENDING_SETS: School = {
  id: 'descending-sets',
  name: 'Descending sets',
  says: 'Six, then four, then two of a 10–15 s hold, 20–30 s between.',
  source: TRADE,
  fits: ({ mode }) => mode === 'held',
  reads: (dose) => holdOf(dose) !== null && dose.head.kind === 'pyramid',
  start: () => '6-4-2 hold 10s rest 20-30s daily',
  phases: [],
  bounds: { ...NO_BOUNDS, hold: { most: DESCENDING_LONGEST_S, bouts: true } },
  pace: 'good days',
};

/** Thirty seconds at each sense of pull; the barriers move outward by themselves. */
const BARRIERS: School = {
  id: 'barriers',
  name: 'Barriers',
  says: 'Thirty seconds at the first sense of pull, thirty at the next, thirty at the third; no bouncing.',
  source: TRADE,
  fits: ({ mode, purpose }) => mode === 'held' && purpose === 'lengthen',
  reads: ({ stations }) => stations?.kind === 'barriers',
  start: () => '30s at 3 barriers daily',
  phases: [],
  bounds: { ...NO_BOUNDS, hold: { most: 30, bouts: true } },
  pace: 'good days',
};

/** Short holds at half effort, a set at each angle; the maximum grows, the share stays. */
const ANGLES: School = {
  id: 'angles',
  name: 'Joint angles',
  says: '5 × 5 s at half effort at each of three angles; one set is one angle; a minute’s rest; every other day.',
  source: TRADE,
  fits: ({ mode, family }) => mode === 'held' && family === 'Limb strength',
  reads: ({ stations }) => stations?.kind === 'angles' || stations?.kind === 'degrees',
  start: () => '5x5s at 3 angles rest 60s 50% every other day',
  phases: [],
  bounds: { ...NO_BOUNDS, hold: { most: 5, bouts: true } },
  pace: 'good days',
};

/** One unbroken hold at a feeling that stays the same. */
const PAIN_RELIEF: School = {
  id: 'pain-relief',
  name: 'Pain-relief hold',
  says: 'One unbroken hold at 30–50 % effort (best 40–50 %), from one minute towards five. Holds that unbroken length is what counts: three minutes does twice what one does, five twice what three do.',
  source: `${TRADE} Under 25 % does little, over 80 % threatens. Endurance models disagree with the longer holds: see the note beside the line.`,
  fits: ({ mode, needs }) => mode === 'held' && needs.effort,
  // One unbroken hold is what it is about.
  reads: (dose) => holdOf(dose) !== null && repsOf(dose).most / sidesOf(dose) === 1,
  start: () => 'x1 hold 1min 40-50% daily',
  phases: [],
  bounds: { ...NO_BOUNDS, hold: { most: 300, bouts: true }, effortPercent: 80 },
  pace: 'good days',
};

/** Only the direction that draws symptoms in, often in the day; in stages. */
const REPEATED: School = {
  id: 'repeated',
  name: 'Repeated movements',
  says: 'Only the direction that draws symptoms in, often in the day; in stages.',
  source: TRADE,
  fits: ({ family }) => family === 'Bending back' || family === 'Bending forward',
  reads: () => true,
  start: () => 'x10 1-8/day daily',
  phases: [],
  bounds: NO_BOUNDS,
  pace: 'symptoms',
};

/** Every school, in the order the desk offers them. */
export const SCHOOLS: Readonly<Record<SchoolId, School>> = {
  lengthen: LENGTHEN,
  climb: CLIMB,
  'volume-load': VOLUME_LOAD,
  ascending: ASCENDING,
  'descending-load': DESCENDING_LOAD,
  adjustable: ADJUSTABLE,
  'descending-sets': DESCENDING_SETS,
  barriers: BARRIERS,
  angles: ANGLES,
  'pain-relief': PAIN_RELIEF,
  repeated: REPEATED,
};
