import { NO_SETTINGS, TRADE } from '../school';
import {
  evidenceOf,
  inOrder,
  happeningsIn,
  isTold,
  isUnsettled,
  isSkip,
  lightOf,
  moreIn,
  presentOf,
  silentSince,
} from '../course';
import { type Dose, formatDose, doseOf } from '../dose';
import { dangerStep, limbAlarm } from './danger';
import { type Step, type StepFacts, stays } from './facts';
import { type Ground, grown, judged, stepOf } from './growth-step';
import { ownedFor } from './owned';
import { SCHOOL_RULES, type SchoolRule, type Standing } from './schools';
import type { GrownMeasure } from './steps/frequency';
import { givenBack } from './steps/give-back';

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
      why: `Of no session since ${silent} was it told how it was borne, both during it and the next morning: ask the patient.`,
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
  const rule = school && SCHOOL_RULES[school.id];
  const used = decided.declinedOn === null ? evidence : evidenceOf(course, decided.declinedOn);
  const ground: Ground = {
    happenings,
    evidence: used,
    because: `${used.goodDays} good sessions in a row`,
    event: `good since ${used.since}`,
  };
  return rule?.pace === 'every session'
    ? everySession(facts, rule, ground)
    : growing(facts, rule, ground);
}

/**
 * A school that decides by every single session: up only where it was told to be borne, down always. What
 * was taken off of the rest comes back by good days, as everywhere.
 */
function everySession(facts: StepFacts, rule: SchoolRule, ground: Ground): Step {
  const present = presentOf(facts.course);
  const last = present.sessions
    .filter((log) => !isSkip(log))
    .toSorted(inOrder)
    .at(-1);
  if (!last || last.stopped !== 'no') return stays('Not done yet as it stands now.', rule.source);
  const byTable: Ground = { ...ground, happenings: [], because: '', event: `session ${last.id}` };
  const growth = rule.next(standingOf(facts, [last]));
  const isLess = growth.kind === 'dose' && !moreIn(growth.dose, present.dose).includes('load');
  if (isLess)
    return {
      ...stays(growth.why, rule.source),
      move: 'step back',
      dose: growth.dose,
      event: byTable.event,
    };
  const back = cameBack(facts, rule, ground, (measure) => measure !== 'load');
  if (back && back.move !== 'stay') return back;
  if (growth.kind !== 'dose') return grown(facts, rule, growth, byTable);
  if (!isTold(last) || isUnsettled(last))
    return stays(`${growth.why} It waits for a word on how it was borne.`, rule.source);
  if (last.pain !== null && lightOf(last.pain) === 'red')
    return stays(`Pain ${last.pain} of 10: nothing grows.`, rule.source);
  return judged(facts, rule, growth, byTable);
}

/** Why nothing can be built on yet; null once there are enough good days and the pain does not rise. */
function notYetGood({ goodSessions }: StepFacts, { evidence }: Ground): string | null {
  const { goodDays, untoldDays, broken, rising } = evidence;
  if (goodDays < goodSessions)
    return [
      `${goodDays} of ${goodSessions} good sessions in a row, on a day each.`,
      ...(broken === null ? [] : [`Before them: ${broken}.`]),
      ...(untoldDays > 0
        ? [`${untoldDays} more done without a word: done, but not known to be good.`]
        : []),
    ].join(' ');
  return rising.length > 0
    ? `Pain rises within its limits (${rising.join(', ')} of 10): nothing grows before it has levelled.`
    : null;
}

/**
 * What was taken off and comes back now, also without a school.
 *
 * @param counts the measures that are looked at
 * @returns a step; one that stays where something speaks against all of them; null where there is none
 */
function cameBack(
  facts: StepFacts,
  rule: SchoolRule | null,
  ground: Ground,
  counts: (measure: GrownMeasure) => boolean = () => true,
): Step | null {
  if (notYetGood(facts, ground) !== null) return null;
  let refused: Step | null = null;
  for (const { measure, dose, was } of givenBack(facts.course, ownDose(facts))) {
    if (!counts(measure)) continue;
    const why = `Taken off before and borne since: back towards ${formatDose(was)}.`;
    const step = judged(facts, rule, { kind: 'dose', measure, dose, why }, ground);
    if (step.move !== 'stay') return step;
    refused ??= step;
  }
  return refused;
}

/** What can be built on by good days in a row. */
function growing(facts: StepFacts, rule: SchoolRule | null, ground: Ground): Step {
  const { course, goodSessions } = facts;
  const { because, evidence } = ground;
  const source = rule?.source ?? TRADE;
  const lacks = notYetGood(facts, ground);
  if (lacks !== null) return stays(lacks, source);
  const back = cameBack(facts, rule, ground);
  if (back && (back.move !== 'stay' || !rule)) return back;
  if (!rule) return stays('No school is chosen for this line.', TRADE);
  const row = evidence.days.slice(-goodSessions).flat();
  const lacking = row
    .map((log) => rule.ready(presentOf(course).dose, log))
    .find(({ ready }) => !ready);
  if (lacking) return stays(`${because}, but ${lacking.say}.`, source);
  if (rule.pace === 'symptoms' && facts.limb !== null && facts.limb !== 'drawing in')
    return back ?? stays('The next stage waits until symptoms draw in.', source);
  const step = stepOf(facts, rule, rule.next(standingOf(facts, row)), ground);
  return step.move === 'stay' && back ? back : step;
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
