import { type Dose, doseDifference, sayDoseChange } from '../dose';
import { type Exercise, lineFlags } from '../exercise';
import { type PrecautionId, PRECAUTIONS, TRAITS } from '../screen';
import { easierDose, withDayBetween } from './easier';
import { READINESS, adjustedDose } from './readiness';
import { SCHOOLS, doseOf } from './schools';
import {
  LIGHTS,
  type SessionLog,
  goodInARow,
  isGood,
  isSettled,
  isSkip,
  lightOf,
} from './session-log';
import { NO_SETTINGS, type SchoolChoice } from './settings';

export const MOVES = [
  'stop',
  'step back',
  'rest day',
  'advance rung',
  'advance load',
  'advance hold',
  'advance volume',
  'stay',
] as const;
export type Move = (typeof MOVES)[number];

/** What came of a line, and what is proposed next. Nothing is changed by it. */
export type Step = {
  readonly move: Move;
  /** The proposed dose; null where the line stays, stops, or nothing can be taken off. */
  readonly dose: Dose | null;
  /** Another exercise of the same stairs; null where it stays the same. */
  readonly exercise: Exercise | null;
  /** One sentence with the numbers. */
  readonly why: string;
  readonly source: string;
};

export type StepFacts = {
  readonly exercise: Exercise;
  readonly dose: Dose;
  readonly school: SchoolChoice | null;
  /** Sessions under this dose, oldest first. */
  readonly logs: readonly SessionLog[];
  /** Good sessions in a row before anything grows; three unless the clinic says otherwise. */
  readonly goodSessions: number;
  readonly precautions: readonly PrecautionId[];
  /** The open steps above and below in the same stairs; null without one. */
  readonly above: Exercise | null;
  readonly below: Exercise | null;
  /** Weights there are; empty where any can be set. */
  readonly owned: readonly number[];
  /** Faults seen at the last teaching that had no fix. */
  readonly faults: number;
  /** What the limbs do, the worst of them; null where none is followed. */
  readonly limb: 'drawing in' | 'spreading' | 'deficit grows' | 'no clear change' | null;
};

/** What a limb can do that comes before every gain, in words. */
const LIMB_ALARMS = {
  spreading: 'Symptoms spread down the limb',
  'deficit grows': 'Weakness or numbness grows',
} as const;

function limbAlarm(limb: StepFacts['limb']): string | null {
  return limb === 'spreading' || limb === 'deficit grows' ? LIMB_ALARMS[limb] : null;
}

const THOMEE = 'Traffic light during exercise (Thomeé 1997; from memory).';
const TRADE = 'Common practice, no source.';
export const GOOD_SESSIONS = 3;
/** A second flare within so many sessions is more than a bad day. */
const FLARE_WINDOW = 6;

type Override = {
  readonly id: string;
  readonly source: string;
  /** The step where the rule holds, else null. */
  readonly step: (facts: StepFacts, last: SessionLog) => Omit<Step, 'source'> | null;
};

/** These come before every school, the gravest first. */
export const OVERRIDES: readonly Override[] = [
  {
    id: 'stopped',
    source: TRADE,
    step: (_, last) =>
      last.stopped === 'stands'
        ? {
            move: 'stop',
            dose: null,
            exercise: null,
            why: `Stopped on ${last.date} because something felt wrong: examine before it goes on.`,
          }
        : null,
  },
  {
    id: 'limb alarm',
    source: TRADE,
    step: ({ limb, school, exercise }) => {
      const alarm = limbAlarm(limb);
      if (alarm === null) return null;
      const why =
        school?.id === 'repeated'
          ? `${alarm}: only the direction that draws symptoms in is repeated.`
          : exercise.purpose === 'glide'
            ? `${alarm}: examine the nerve before glides go on.`
            : null;
      return why === null ? null : { move: 'stop', dose: null, exercise: null, why };
    },
  },
  {
    id: 'red light',
    source: THOMEE,
    step: (facts, { pain, date }) =>
      pain !== null && lightOf(pain) === 'red'
        ? back(facts, `Pain ${pain} of 10 on ${date}, over ${LIGHTS.amber} is too much`)
        : null,
  },
  {
    id: 'second flare',
    source: TRADE,
    step: (facts) => {
      const flares = facts.logs
        .slice(-FLARE_WINDOW)
        .filter(({ nextMorning }) => nextMorning === 'flare').length;
      return flares >= 2 ? back(facts, `${flares} flares in ${FLARE_WINDOW} sessions`) : null;
    },
  },
  {
    id: 'flare',
    source: TRADE,
    step: (facts, { nextMorning, date }) =>
      nextMorning === 'flare' ? rest(facts, `A flare the morning after ${date}`) : null,
  },
  {
    id: 'amber, not settled',
    source: THOMEE,
    step: (facts, last) =>
      last.pain !== null && lightOf(last.pain) === 'amber' && !isSettled(last)
        ? back(
            facts,
            `Pain ${last.pain} of 10 on ${last.date} that had not settled by next morning`,
          )
        : null,
  },
  {
    id: 'sore again',
    source: TRADE,
    step: (facts) => {
      const sore = facts.logs.slice(-2).filter((log) => !isSettled(log)).length;
      return sore === 2 ? rest(facts, 'Still sore the next morning twice running') : null;
    },
  },
  {
    id: 'left out for pain',
    source: TRADE,
    step: (facts) => {
      const left = facts.logs.slice(-3).filter(({ skipped }) => skipped === 'pain').length;
      return left >= 2 ? back(facts, `Left out for pain ${left} times in 3 sessions`) : null;
    },
  },
];

function back(facts: StepFacts, because: string): Omit<Step, 'source'> {
  const dose = easierDose(facts.dose, facts.school?.settings ?? NO_SETTINGS);
  if (dose)
    return {
      move: 'step back',
      dose,
      exercise: null,
      why: `${because}: ${said(facts.dose, dose)}.`,
    };
  if (facts.below)
    return {
      move: 'step back',
      dose: onStep(facts.dose, facts.below, facts.school),
      exercise: facts.below,
      why: `${because}: one step down the stairs, ${facts.below.name}.`,
    };
  return rest(facts, because);
}

function rest(facts: StepFacts, because: string): Omit<Step, 'source'> {
  const dose = withDayBetween(facts.dose);
  return {
    move: 'rest day',
    dose,
    exercise: null,
    why: dose ? `${because}: a day in between.` : `${because}: leave out the next session.`,
  };
}

const said = (before: Dose, after: Dose) =>
  doseDifference(before, after).map(sayDoseChange).join(', ');

/** The dose of another step: its own under the same school, on the same days until the same end. */
function onStep(dose: Dose, exercise: Exercise, school: SchoolChoice | null): Dose {
  const own = school ? exercise.doses[school.id] : undefined;
  const { days, times, until, fromDay } = dose;
  return {
    ...doseOf(own ?? exercise.usualDose),
    ...(days && { days }),
    ...(times && { times }),
    ...(until && { until }),
    ...(fromDay !== undefined && { fromDay }),
  };
}

/**
 * What one line's sessions ask for: the traffic light and the next morning before every school, then
 * the school's own rule, never beyond its limits or a precaution. Skipped is not failed.
 *
 * @example nextStep({ …threeGoodSessionsOf10x3s, school: lengthen }).dose // 10x5s
 */
export function nextStep(facts: StepFacts): Step {
  const done = facts.logs.filter((log) => !isSkip(log));
  const last = done.at(-1);
  if (!last)
    return stays(
      facts.logs.length > 0 ? 'Only left out so far; that is no failure.' : 'Not done yet.',
    );
  const judged = { ...facts, logs: done };
  for (const { step, source } of OVERRIDES) {
    const found = step(judged, last);
    if (found) return { ...found, source };
  }
  if (!facts.school) return stays('No school is chosen for this line.');
  return bySchool(judged, facts.school, last);
}

const stays = (why: string, source = TRADE): Step => ({
  move: 'stay',
  dose: null,
  exercise: null,
  why,
  source,
});

function bySchool(facts: StepFacts, choice: SchoolChoice, last: SessionLog): Step {
  const { dose, logs, goodSessions, faults } = facts;
  const school = SCHOOLS[choice.id];
  const { source } = school;
  const alarm = limbAlarm(facts.limb);
  if (alarm !== null) return stays(`${alarm}: nothing grows before that is examined.`);
  if (faults > 0)
    return stays(`${faults} faults without a fix at the last teaching: teach again first.`);
  if (choice.id === 'adjustable') return capped(facts, adjusting(facts, last, source));
  const row = goodInARow(logs);
  if (row < goodSessions) return stays(`${row} of ${goodSessions} good sessions in a row.`, source);
  const judged = logs.slice(-goodSessions).map((log) => READINESS[choice.id](dose, log));
  const lacking = judged.find(({ ready }) => !ready);
  if (lacking) return stays(`${goodSessions} good sessions, but ${lacking.say}.`, source);
  if (choice.id === 'repeated' && facts.limb !== 'drawing in')
    return stays('The next stage waits until symptoms draw in.', source);
  const growth = school.grow(dose, choice.settings, facts.owned);
  const because = `${row} good sessions in a row`;
  switch (growth.kind) {
    case 'stays':
      return stays(`${because}. ${growth.why}`, source);
    case 'dose':
      return capped(facts, {
        move: kindOf(dose, growth.dose),
        dose: growth.dose,
        exercise: null,
        why: `${because}: ${said(dose, growth.dose)}. ${growth.why}`,
        source,
      });
    case 'next rung':
      return facts.above
        ? capped(facts, {
            move: 'advance rung',
            dose: onStep(dose, facts.above, choice),
            exercise: facts.above,
            why: `${because}: ${facts.above.name}. ${growth.why}`,
            source,
          })
        : stays(`${because}; no open step above.`, source);
  }
}

function adjusting(facts: StepFacts, last: SessionLog, source: string): Step {
  const adjusted = isGood({ ...last, share: 1, effort: null })
    ? adjustedDose(facts.dose, last, facts.owned)
    : null;
  if (!adjusted) return stays('The fourth set decides; it has not been done with weights.', source);
  const { dose, reps, from, to } = adjusted;
  if (from === to) return stays(`${reps} repetitions in the fourth set: ${from} stays.`, source);
  return {
    move: to > from ? 'advance load' : 'step back',
    dose,
    exercise: null,
    why: `${reps} repetitions in the fourth set: working load ${from} → ${to}.`,
    source,
  };
}

function kindOf(before: Dose, after: Dose): Move {
  const changed = doseDifference(before, after).map(({ part }) => part);
  if (changed.includes('load') || changed.includes('band')) return 'advance load';
  if (changed.includes('hold')) return 'advance hold';
  return before.head.kind === 'bouts' &&
    after.head.kind === 'bouts' &&
    after.head.span.most > before.head.span.most
    ? 'advance hold'
    : 'advance volume';
}

/** A step up stays within the school's limits and adds nothing that a precaution speaks against. */
function capped(facts: StepFacts, step: Step): Step {
  if (step.dose === null || step.move === 'step back') return step;
  const beyond = facts.school ? SCHOOLS[facts.school.id].beyond(step.dose) : null;
  if (beyond !== null) return stays(`${step.why} Not proposed: ${beyond}`, step.source);
  const before = lineFlags(facts.precautions, facts.exercise, facts.dose).map(({ trait }) => trait);
  const exercise = step.exercise ?? facts.exercise;
  const added = lineFlags(facts.precautions, exercise, step.dose).find(
    ({ trait }) => !before.includes(trait),
  );
  return added
    ? stays(
        `${step.why} Not proposed: ${TRAITS[added.trait]} (${PRECAUTIONS[added.precaution].name}).`,
        step.source,
      )
    : step;
}
