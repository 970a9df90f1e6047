import { type School, TRADE, beyondBounds } from '../school';
import { type Evidence, type Happening, onExerciseSince, presentOf } from '../course';
import { formatDose } from '../dose';
import { daysBetween } from '../units';
import { cappedBecause } from './caps';
import { type Step, type StepFacts, saidChange, stays } from './facts';
import { MOVE_OF } from './move';
import { recall } from './recall';
import type { Choice, Growth } from './schools';
import { startOnStep } from './steps/on-step';

/** What a step is built on, and is called by. */
export type Ground = {
  readonly happenings: readonly Happening[];
  readonly evidence: Evidence;
  /** What has gone well, in words; empty where one session says it all. */
  readonly because: string;
  readonly event: string;
};

/** A school's growth as a step. */
export function stepOf(facts: StepFacts, rule: School, growth: Growth, ground: Ground): Step {
  switch (growth.kind) {
    case 'dose':
      return judged(facts, rule, growth, ground);
    case 'next rung':
      return nextRung(facts, rule, growth.why, ground);
    case 'stays':
    case 'ask':
    case 'choose':
      return grown(facts, rule, growth, ground);
  }
}

const join = (because: string, rest: string) => (because === '' ? rest : `${because}. ${rest}`);

/** A growth that is no dose of its own: it stays, asks, or lets the clinician choose. */
export function grown(
  facts: StepFacts,
  { source }: School,
  growth: Exclude<Growth, { kind: 'dose' }>,
  { because, event }: Ground,
): Step {
  switch (growth.kind) {
    case 'stays':
    case 'next rung':
      return stays(join(because, growth.why), source);
    case 'ask': {
      const once = `asked for ${growth.what}`;
      const why = join(because, growth.why);
      return facts.decided.events.has(once)
        ? stays(`${why} It was asked for; the answer is not there yet.`, source)
        : { ...stays(why, source), move: 'ask', event: once, asks: growth.what };
    }
    case 'choose': {
      const choices = growth.choices.filter(
        ({ dose }) => cappedBecause(facts, facts.exercise, dose) === null,
      );
      const why = join(because, growth.why);
      return choices.length === 0
        ? stays(`${why} Not proposed: a precaution speaks against it.`, source)
        : { ...stays(why, source), move: 'choose load', event, choices };
    }
  }
}

/** A larger dose of the same exercise, held against bounds, precautions and what the course remembers. */
export function judged(
  facts: StepFacts,
  rule: School | null,
  growth: Extract<Growth, { kind: 'dose' }>,
  { because, event, happenings, evidence }: Ground,
): Step {
  const source = rule?.source ?? TRADE;
  const { dose } = presentOf(facts.course);
  const found = recall(facts, growth.dose, growth.measure, happenings, evidence);
  if (found.kind === 'waits') return stays(join(because, found.say), source);
  const to = found.dose;
  const why = `${because === '' ? '' : `${because}: `}${saidChange(dose, to)}. ${found.say === '' ? growth.why : found.say}`;
  const beyond = rule && beyondBounds(rule, dose) === null ? beyondBounds(rule, to) : null;
  if (beyond !== null) return stays(`${why} Not proposed: ${beyond}`, source);
  const capped = cappedBecause(facts, facts.exercise, to);
  if (capped !== null) return stays(`${why} Not proposed: ${capped}.`, source);
  return {
    move: MOVE_OF[growth.measure],
    dose: to,
    exercise: null,
    why,
    source,
    event,
    choices: found.say === '' ? choicesOf(facts, rule, growth.choices ?? []) : [],
    asks: null,
  };
}

/** What a clinician may choose instead, as far as bounds and precautions leave it. */
function choicesOf(facts: StepFacts, rule: School | null, choices: readonly Choice[]): Choice[] {
  return choices.filter(
    ({ dose }) =>
      (rule === null || beyondBounds(rule, dose) === null) &&
      cappedBecause(facts, facts.exercise, dose) === null,
  );
}

/** The step above in the same stairs, once the present one has had its time. */
function nextRung(
  facts: StepFacts,
  rule: School,
  why: string,
  { because, event, happenings, evidence }: Ground,
): Step {
  const { course, today, leastRungDays, rungs, exercise, school } = facts;
  const { source } = rule;
  const above = rungs.above(exercise);
  if (!above) return stays(`${because}; no open step above.`, source);
  const since = onExerciseSince(course);
  const days = daysBetween(since, today);
  if (rule.pace !== 'symptoms' && days < leastRungDays)
    return stays(
      `${because}; on this step since ${since}, ${days} of at least ${leastRungDays} days.`,
      source,
    );
  const { dose } = presentOf(course);
  const start = startOnStep(dose, above, school);
  const found = recall(facts, start, 'volume', happenings, evidence, above);
  if (found.kind === 'waits') return stays(join(because, `${above.name}: ${found.say}`), source);
  const said = `${because}: ${above.name}, ${formatDose(found.dose)}. ${found.say === '' ? why : found.say}`;
  const capped = cappedBecause(facts, above, found.dose) ?? beyondBounds(rule, found.dose);
  if (capped !== null) return stays(`${said} Not proposed: ${capped}.`, source);
  return {
    ...stays(said, source),
    move: 'advance rung',
    dose: found.dose,
    exercise: above,
    event,
  };
}
