import type { Dose } from '../dose';
import { holdOf, parseDose, repsOf, setsOf, sidesOf } from '../dose';
import type { Exercise, SchoolId } from '../exercise';
import {
  ADJUSTABLE_PERCENT,
  ASCENDING_PERCENT,
  DESCENDING_PERCENT,
  loadStep,
  schemeLoads,
} from '../load';
import { exactly, seconds } from '../units';
import { HOLD_LADDERS, nextHold, withHold } from './hold-ladder';
import type { SchoolSettings } from './settings';

/** One step of success: a larger dose, the family's next step, or nothing more to gain this way. */
export type Growth =
  | { readonly kind: 'dose'; readonly dose: Dose; readonly why: string }
  | { readonly kind: 'next rung'; readonly why: string }
  | { readonly kind: 'stays'; readonly why: string };

export type Phase = { readonly fromDay: number; readonly dose: string; readonly why: string };

export type School = {
  /** What it does, in words of ours. */
  readonly name: string;
  readonly says: string;
  readonly source: string;
  /** Whether this exercise can be dosed so. */
  readonly fits: (exercise: Exercise) => boolean;
  /** Whether its rule can go on from a dose as it is written; else somebody is asked. */
  readonly reads: (dose: Dose) => boolean;
  /** Where it starts; the exercise may have its own (`doses`). */
  readonly start: (settings: SchoolSettings) => string;
  /** What follows by itself once written into the version; empty for most. */
  readonly phases: readonly Phase[];
  /** What one success changes, with the weights that are owned (none: any weight can be set). */
  readonly grow: (dose: Dose, settings: SchoolSettings, owned: readonly number[]) => Growth;
  /** What its doses may never leave; null while within. */
  readonly beyond: (dose: Dose) => string | null;
};

const TRADE = 'Common practice, no source.';
const held = ({ mode }: Exercise) => mode === 'held';
const isHeld = (dose: Dose) => holdOf(dose) !== null;
const isCounted = (dose: Dose) => !isHeld(dose) && dose.head.kind === 'sets';
/** A load for every set, which a scheme of loads goes on from. */
const hasScheme = ({ load, head }: Dose) =>
  load !== undefined && load.perSet.length > 1 && load.perSet.length === setsOf(head).most;
const holdsOver = (dose: Dose, most: number) => {
  const hold = holdOf(dose);
  return hold !== null && hold.most > most ? `The hold is over ${most} s.` : null;
};

/** Loads of a scheme as the dose line writes them: measured where known, else percents. */
function schemeText(percents: readonly number[], { tenRepMaximum, unit }: SchoolSettings): string {
  return tenRepMaximum === null
    ? `${percents.join('/')}% 10rm`
    : `${schemeLoads(tenRepMaximum, percents).join('/')}${unit}`;
}

/**
 * Every written weight heavier by the real step that the repetitions done predict room for, among the
 * weights that are owned.
 */
function growLoad(dose: Dose, reps: number, owned: readonly number[], backTo = 10): Growth {
  const { load } = dose;
  if (load?.kind !== 'weight')
    return {
      kind: 'stays',
      why: 'Measure the ten-rep maximum again: the percents stay, the load grows.',
    };
  const steps = load.perSet.map((one) =>
    one === 'adj' ? null : loadStep(one, reps, owned, backTo),
  );
  const perSet = load.perSet.map((one, set) => steps[set]?.to ?? one);
  if (steps.every((one) => one === null || one.to === null))
    return {
      kind: 'stays',
      why: steps.find((one) => one !== null)?.say ?? 'The load is set during the session.',
    };
  return {
    kind: 'dose',
    dose: { ...dose, load: { ...load, perSet } },
    why: `All sets done with ${reps} repetitions: a real step in load, at most the predicted ${backTo === 10 ? 'ten' : 'five'}-rep maximum.`,
  };
}

const MOST_HOLD = Math.max(...HOLD_LADDERS.flat());
/** Pain-relief holds grow by a minute, up to five. */
const RELIEF = { step: 60, most: 300, effort: [30, 50] } as const;
const VOLUME_REPS = { from: 10, to: 15 } as const;

export const SCHOOLS: Readonly<Record<SchoolId, School>> = {
  lengthen: {
    name: 'Lengthen the hold',
    says: 'Same step, longer holds (3 → 5 → 10, 10 → 30 → 60 or 30 → 60 s); then the next step.',
    source: TRADE,
    fits: (exercise) => exercise.mode !== 'moved',
    reads: isHeld,
    start: ({ holds }) => `x10 hold ${holds[0] ?? 3}s gap 3s daily`,
    phases: [],
    grow: (dose, { holds }) => {
      const next = nextHold(dose, holds);
      return next
        ? { kind: 'dose', dose: next, why: 'Held well: the next longer hold.' }
        : { kind: 'next rung', why: 'The longest hold is held: the next step.' };
    },
    beyond: (dose) => (dose.head.kind === 'bouts' ? null : holdsOver(dose, MOST_HOLD)),
  },
  climb: {
    name: 'Climb the stairs',
    says: 'Gravity out, gravity in, added resistance, added movement, the tuck kept; each step by itself.',
    source: TRADE,
    fits: () => true,
    reads: () => true,
    start: () => 'x10 gap 2s daily',
    phases: [],
    grow: () => ({ kind: 'next rung', why: 'Done properly: the next step of the stairs.' }),
    beyond: () => null,
  },
  'volume-load': {
    name: 'Volume, then load',
    says: 'Two weeks of 20–30 easy repetitions to learn; 3 × 10–15 until all three sets reach 15, then a real step in load and back to 10; after six weeks 5 × 5–7, the first two lighter.',
    source: `${TRADE} Novices gain at about 60 % of one-rep maximum.`,
    fits: (exercise) => exercise.mode === 'moved' && exercise.purpose === 'strengthen',
    reads: isCounted,
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
    grow: (dose, _, owned) =>
      dose.head.kind === 'sets' && dose.head.reps.most === VOLUME_REPS.to
        ? growLoad(dose, VOLUME_REPS.to, owned)
        : dose.head.kind === 'sets' && dose.head.reps.most === 7
          ? growLoad(dose, 7, owned, 5)
          : { kind: 'stays', why: 'The learning phase lasts its two weeks.' },
    beyond: (dose) =>
      dose.head.kind === 'sets' && dose.head.sets.most * dose.head.reps.most > 60
        ? 'More than 60 repetitions.'
        : null,
  },
  ascending: {
    name: 'Ascending loads',
    says: 'Three sets of ten at 50, 75 and 100 % of the ten-rep maximum.',
    source: 'DeLorme & Watkins 1948.',
    fits: (exercise) => exercise.mode === 'moved' && exercise.needs.effort,
    reads: hasScheme,
    start: (settings) =>
      `3x10 ${schemeText(ASCENDING_PERCENT, settings)} rest 2min every other day`,
    phases: [],
    grow: (dose, _, owned) => growLoad(dose, 12, owned),
    beyond: () => null,
  },
  'descending-load': {
    name: 'Descending loads',
    says: 'Its mirror: ten at 100, 75 and 50 % of the ten-rep maximum, as it tires.',
    source: 'Textbook form of Zinovieff 1951, whose original used ten sets (memory).',
    fits: (exercise) => exercise.mode === 'moved' && exercise.needs.effort,
    reads: hasScheme,
    start: (settings) =>
      `3x10 ${schemeText(DESCENDING_PERCENT, settings)} rest 2min every other day`,
    phases: [],
    grow: (dose, _, owned) => growLoad(dose, 12, owned),
    beyond: () => null,
  },
  adjustable: {
    name: 'Adjust each session',
    says: 'Ten at half the working load, six at three quarters, then as many as possible at the full load and at the adjusted one, which sets the next session.',
    source: 'After Knight 1979, rows as in later textbooks (memory).',
    fits: (exercise) => exercise.mode === 'moved' && exercise.needs.effort,
    reads: (dose) => hasScheme(dose) && setsOf(dose.head).most === 4,
    start: ({ tenRepMaximum, unit }) =>
      tenRepMaximum === null
        ? '10-6-max-max 50/75/100/100% 10rm rest 2min every other day'
        : `10-6-max-max ${schemeLoads(tenRepMaximum, ADJUSTABLE_PERCENT).join('/')}/adj ${unit} rest 2min every other day`,
    phases: [],
    grow: () => ({
      kind: 'stays',
      why: 'The repetitions of the fourth set decide the next load; the table says how much.',
    }),
    beyond: () => null,
  },
  'descending-sets': {
    name: 'Descending sets',
    says: 'Six, then four, then two of a 10–15 s hold, 20–30 s between.',
    source: TRADE,
    fits: held,
    reads: (dose) => isHeld(dose) && dose.head.kind === 'pyramid',
    start: () => '6-4-2 hold 10s rest 20-30s daily',
    phases: [],
    grow: (dose) => {
      const hold = holdOf(dose);
      return hold && hold.least < 15
        ? {
            kind: 'dose',
            dose: withHold(dose, exactly(seconds(15))),
            why: 'Ten seconds held throughout: fifteen.',
          }
        : { kind: 'next rung', why: 'Fifteen seconds held throughout: the next step.' };
    },
    beyond: (dose) => holdsOver(dose, 15),
  },
  barriers: {
    name: 'Barriers',
    says: 'Thirty seconds at the first sense of pull, thirty at the next, thirty at the third; no bouncing.',
    source: TRADE,
    fits: (exercise) => held(exercise) && exercise.purpose === 'lengthen',
    reads: ({ stations }) => stations?.kind === 'barriers',
    start: () => '30s at 3 barriers daily',
    phases: [],
    grow: () => ({ kind: 'stays', why: 'The barriers move outward by themselves.' }),
    beyond: (dose) => holdsOver(dose, 30),
  },
  angles: {
    name: 'Joint angles',
    says: '5 × 5 s at half effort at each of three angles; one set is one angle; a minute’s rest; every other day.',
    source: TRADE,
    fits: (exercise) => held(exercise) && exercise.family === 'Limb strength',
    reads: ({ stations }) => stations?.kind === 'angles' || stations?.kind === 'degrees',
    start: () => '5x5s at 3 angles rest 60s 50% every other day',
    phases: [],
    grow: () => ({ kind: 'stays', why: 'Half of a maximum that grows: measure it again.' }),
    beyond: (dose) => holdsOver(dose, 5),
  },
  'pain-relief': {
    name: 'Pain-relief hold',
    says: 'One unbroken hold at 30–50 % effort (best 40–50 %), from one minute towards five. Holds that unbroken length is what counts: three minutes does twice what one does, five twice what three do.',
    source: `${TRADE} Under 25 % does little, over 80 % threatens. Endurance models disagree with the longer holds: see the note beside the line.`,
    fits: (exercise) => held(exercise) && exercise.needs.effort,
    // One unbroken hold is what it is about.
    reads: (dose) => isHeld(dose) && repsOf(dose).most / sidesOf(dose) === 1,
    start: () => 'x1 hold 1min 40-50% daily',
    phases: [],
    grow: (dose) => {
      const hold = holdOf(dose);
      return hold && hold.least < RELIEF.most
        ? {
            kind: 'dose',
            dose: withHold(dose, exactly(seconds(Math.min(RELIEF.most, hold.least + RELIEF.step)))),
            why: 'Held easily and felt safe: a minute more.',
          }
        : { kind: 'stays', why: 'Five minutes is as long as it gets.' };
    },
    beyond: (dose) =>
      holdsOver(dose, RELIEF.most) ??
      (dose.effort?.kind === 'percent' && dose.effort.range.most > 80
        ? 'Over 80 % threatens.'
        : null),
  },
  repeated: {
    name: 'Repeated movements',
    says: 'Only the direction that draws symptoms in, often in the day; in stages.',
    source: TRADE,
    fits: (exercise) => exercise.family === 'Bending back' || exercise.family === 'Bending forward',
    reads: () => true,
    start: () => 'x10 1-8/day daily',
    phases: [],
    grow: () => ({
      kind: 'next rung',
      why: 'Symptoms drawn in and staying there: the next stage.',
    }),
    beyond: () => null,
  },
};

/** A dose line of the tables; they are all readable, which their test holds. */
export function doseOf(line: string): Dose {
  const parsed = parseDose(line);
  if (!parsed.ok) throw new RangeError(`not a dose line: ${line}`);
  return parsed.value;
}

/** The schools this exercise can be dosed by, in the order of the table. */
export function schoolsFor(exercise: Exercise): SchoolId[] {
  return (Object.keys(SCHOOLS) as SchoolId[]).filter(
    (id) => exercise.doses[id] !== undefined || SCHOOLS[id].fits(exercise),
  );
}

/** Where a school starts an exercise. */
export function startDose(id: SchoolId, exercise: Exercise, settings: SchoolSettings): Dose {
  const own = settings.tenRepMaximum === null && settings.holds.length === 0;
  const line = own ? exercise.doses[id] : undefined;
  return doseOf(line ?? SCHOOLS[id].start(settings));
}
