import {
  type Evidence,
  type Happening,
  evidenceOf,
  happeningsIn,
  isTold,
  isUnsettled,
  isSkip,
  lightOf,
  moreIn,
  onExerciseSince,
  presentOf,
  silentSince,
} from '../course';
import { type Dose, formatDose } from '../dose';
import { daysBetween } from '../units';
import { cappedBecause } from './caps';
import { dangerStep, limbAlarm } from './danger';
import { doseOf } from './dose-of';
import { type Step, type StepFacts, saidChange, stays } from './facts';
import { MOVE_OF } from './move';
import { ownedFor } from './owned';
import { recall } from './recall';
import {
  type Choice,
  type Growth,
  type School,
  SCHOOLS,
  type Standing,
  TRADE,
  beyondBounds,
} from './schools';
import { NO_SETTINGS } from './settings';
import { givenBack } from './steps/give-back';
import { startOnStep } from './steps/on-step';

/**
 * What a line's course asks for next: what went wrong before every gain, then the ways back from what
 * was taken off, then the school's own rule, never beyond its bounds, a precaution, or what the course
 * remembers. Nothing told is not good news. Pure: the same course proposes the same, in whatever order
 * it was told.
 *
 * @example nextStep({ …threeGoodDaysOf10x3s, school: lengthen }).dose // 10x5s
 */
export function nextStep(facts: StepFacts): Step {
  const { course, today, decided, school } = facts;
  const happenings = happeningsIn(course);
  const evidence = evidenceOf(course, null);
  const danger = dangerStep(facts, happenings);
  if (danger) return danger;
  const silent = silentSince(course, today, decided.askedOn);
  const asked = `silent since ${silent ?? ''}`;
  if (silent !== null && !decided.events.has(asked))
    return {
      ...stays('', TRADE),
      move: 'ask',
      event: asked,
      asks: 'how it goes',
      why: `Sessions since ${silent} were done without a word on how they were borne: ask the patient.`,
    };
  const alarm = limbAlarm(facts.limb);
  if (alarm !== null) return stays(`${alarm}: nothing grows before that is examined.`, TRADE);
  if (facts.faults > 0)
    return stays(
      `${facts.faults} faults without a fix at the last teaching: teach again first.`,
      TRADE,
    );
  const done = presentOf(course).sessions.filter((log) => !isSkip(log));
  if (done.length === 0)
    return stays(
      presentOf(course).sessions.length > 0
        ? 'Only left out so far; that is no failure.'
        : 'Not done yet as it stands now.',
      TRADE,
    );
  const rule = school && SCHOOLS[school.id];
  if (rule?.pace === 'every session') return everySession(facts, rule);
  return growing(
    facts,
    rule,
    happenings,
    decided.declinedOn === null ? evidence : evidenceOf(course, decided.declinedOn),
  );
}

/** A school that decides by every single session: up only where it was told to be borne, down always. */
function everySession(facts: StepFacts, rule: School): Step {
  const { sessions } = presentOf(facts.course);
  const last = sessions.filter((log) => !isSkip(log)).at(-1);
  if (!last || last.stopped !== 'no') return stays('Not done yet as it stands now.', rule.source);
  const event = `session ${last.id}`;
  const growth = rule.next(standingOf(facts, [last]));
  if (growth.kind !== 'dose') return grown(facts, rule, growth, '', event);
  const { dose } = presentOf(facts.course);
  if (!moreIn(growth.dose, dose).includes('load'))
    return {
      ...stays(growth.why, rule.source),
      move: 'step back',
      dose: growth.dose,
      event,
    };
  const pain = last.pain ?? 0;
  if (!isTold(last) || isUnsettled(last))
    return stays(`${growth.why} It waits for a word on how it was borne.`, rule.source);
  if (lightOf(pain) === 'red') return stays(`Pain ${pain} of 10: nothing grows.`, rule.source);
  return judged(facts, rule, { ...growth, why: growth.why }, '', event, [], null);
}

/** What can be built on by good days in a row. */
function growing(
  facts: StepFacts,
  rule: School | null,
  happenings: readonly Happening[],
  evidence: Evidence,
): Step {
  const { course, goodSessions } = facts;
  const source = rule?.source ?? TRADE;
  const untold =
    evidence.untoldDays > 0
      ? ` ${evidence.untoldDays} more done without a word: done, but not known to be good.`
      : '';
  if (evidence.goodDays < goodSessions)
    return stays(
      `${evidence.goodDays} of ${goodSessions} good sessions in a row, on a day each.${evidence.broken === null ? '' : ` Before them: ${evidence.broken}.`}${untold}`,
      source,
    );
  if (evidence.rising.length > 0)
    return stays(
      `Pain rises within its limits (${evidence.rising.join(', ')} of 10): nothing grows before it has levelled.`,
      source,
    );
  const because = `${evidence.goodDays} good sessions in a row`;
  const event = `good since ${evidence.since}`;
  // What was taken off comes back first, also without a school.
  const back = givenBack(course, ownDose(facts)).map(
    ({ measure, dose, was }): Extract<Growth, { kind: 'dose' }> => ({
      kind: 'dose',
      measure,
      dose,
      why: `Taken off before and borne since: back towards ${formatDose(was)}.`,
    }),
  );
  let refused: Step | null = null;
  for (const growth of back) {
    const step = judged(facts, rule, growth, because, event, happenings, evidence);
    if (step.move !== 'stay') return step;
    refused ??= step;
  }
  if (!rule) return refused ?? stays('No school is chosen for this line.', TRADE);
  const row = evidence.days.slice(-goodSessions).flat();
  const lacking = row
    .map((log) => rule.ready(presentOf(course).dose, log))
    .find(({ ready }) => !ready);
  if (lacking) return stays(`${because}, but ${lacking.say}.`, source);
  if (rule.pace === 'symptoms' && facts.limb !== null && facts.limb !== 'drawing in')
    return refused ?? stays('The next stage waits until symptoms draw in.', source);
  const growth = rule.next(standingOf(facts, row));
  const step =
    growth.kind === 'dose'
      ? judged(facts, rule, growth, because, event, happenings, evidence)
      : growth.kind === 'next rung'
        ? nextRung(facts, rule, growth.why, because, event, happenings, evidence)
        : grown(facts, rule, growth, because, event);
  return step.move === 'stay' && refused ? refused : step;
}

/** What the present exercise begins with by itself, under its school. */
function ownDose({ exercise, school }: StepFacts): Dose {
  return doseOf((school ? exercise.doses[school.id] : undefined) ?? exercise.usualDose);
}

function standingOf(
  facts: StepFacts,
  sessions: ReturnType<typeof presentOf>['sessions'],
): Standing {
  const { exercise, course, school, bands } = facts;
  const { dose } = presentOf(course);
  return {
    exercise,
    dose,
    settings: school?.settings ?? NO_SETTINGS,
    sessions,
    ...ownedFor(dose, facts),
    bands,
    past: course.filter((one) => one.exercise.id === exercise.id).map((one) => one.dose),
  };
}

const join = (because: string, rest: string) => (because === '' ? rest : `${because}. ${rest}`);

/** A growth that is no dose of its own: it stays, asks, or lets the clinician choose. */
function grown(
  facts: StepFacts,
  { source }: School,
  growth: Exclude<Growth, { kind: 'dose' }>,
  because: string,
  event: string,
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
function judged(
  facts: StepFacts,
  rule: School | null,
  growth: Extract<Growth, { kind: 'dose' }>,
  because: string,
  event: string,
  happenings: readonly Happening[],
  evidence: Evidence | null,
): Step {
  const source = rule?.source ?? TRADE;
  const { dose } = presentOf(facts.course);
  const found = recall(facts, growth.dose, growth.measure, happenings, evidence);
  if (found.kind === 'waits') return stays(join(because, found.say), source);
  const to = found.dose;
  const why = `${because === '' ? '' : `${because}: `}${saidChange(dose, to)}. ${found.say === '' ? growth.why : found.say}`;
  const beyond = rule ? beyondBounds(rule, to) : null;
  if (beyond !== null && beyondBounds(rule as School, dose) === null)
    return stays(`${why} Not proposed: ${beyond}`, source);
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
  because: string,
  event: string,
  happenings: readonly Happening[],
  evidence: Evidence,
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
