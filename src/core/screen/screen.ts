import type { Answer, ScreeningAnswers } from './answers';
import { type CordVerdict, cordSigns } from './cord-signs';
import { holds } from './condition';
import { type NeckInjuryVerdict, neckInjuryRule } from './neck-injury';
import { type Outcome, OUTCOMES, blocksPrescribing, worstOutcome } from './outcome';
import type { PrecautionId } from './precautions';
import type { Question } from './question';
import type { QuestionId } from './question-ids';
import { QUESTIONS, questionOf } from './questions';
import type { ScreeningRule } from './rule';
import { RULES } from './rules';

export type ScreeningResult = {
  /** "unfinished" while nothing blocks and something is unanswered. */
  readonly outcome: Outcome | 'unfinished';
  /** Every rule that fired, worst first. */
  readonly fired: readonly ScreeningRule[];
  readonly precautions: readonly PrecautionId[];
  readonly unanswered: readonly QuestionId[];
  /** The age is one of the answers. */
  readonly ageMissing: boolean;
  readonly neckInjury: NeckInjuryVerdict;
  readonly cord: CordVerdict;
};

/** The questions to be asked given what was answered; a follow-up appears when its condition holds. */
export function questionsFor(
  facts: ScreeningAnswers,
  who: 'clinician' | 'patient' = 'clinician',
): Question[] {
  return QUESTIONS.filter(
    (question) =>
      (who === 'clinician' || question.toPatient === true) &&
      (question.when === undefined || holds(question.when, facts) === true),
  );
}

/**
 * What a screening comes to: the worst outcome of the rules that fire, with every one of them. An
 * unanswered question is not a "no": as long as one is left nothing is let go, but a rule that
 * blocks does so at once.
 */
export function screen(facts: ScreeningAnswers): ScreeningResult {
  const fired = RULES.filter((rule) => holds(rule.when, facts) === true).sort(
    (a, b) => OUTCOMES.indexOf(a.outcome) - OUTCOMES.indexOf(b.outcome),
  );
  const worst = worstOutcome(fired.map((rule) => rule.outcome));
  const unanswered = questionsFor(facts)
    .map((question) => question.id)
    .filter((id) => facts.answers[id] === undefined);
  const ageMissing = facts.age === null;
  const open = unanswered.length > 0 || ageMissing;
  return {
    outcome: open && !blocksPrescribing(worst) ? 'unfinished' : worst,
    fired,
    precautions: [...new Set(fired.flatMap((rule) => rule.precaution ?? []))],
    unanswered,
    ageMissing,
    neckInjury: neckInjuryRule(facts),
    cord: cordSigns(facts),
  };
}

/**
 * Answers "no" to every open question that may be answered so in one go: signs become "not tested",
 * and questions whose "no" is the worrying answer, or that somebody has to ask, stay open.
 */
export function answerTheRestNo(
  facts: ScreeningAnswers,
  who: 'clinician' | 'patient' = 'clinician',
): ScreeningAnswers {
  const answers = { ...facts.answers };
  for (const question of questionsFor(facts, who)) {
    const id = question.id;
    if (answers[id] === undefined && !question.byItself && !question.calms)
      answers[id] = question.group === 'signs' ? 'not tested' : 'no';
  }
  return { ...facts, answers };
}

/**
 * How many questions were answered "no" between one and the next, and how many signs are "not tested".
 *
 * @example answersAdded({}, { latex: 'no', clonus: 'not tested' }) // { no: 1, notTested: 1 }
 */
export function answersAdded(
  before: ScreeningAnswers['answers'],
  after: ScreeningAnswers['answers'],
): { readonly no: number; readonly notTested: number } {
  const added = (Object.keys(after) as QuestionId[])
    .filter((id) => before[id] === undefined)
    .map((id) => after[id]);
  const count = (answer: Answer) => added.filter((one) => one === answer).length;
  return { no: count('no'), notTested: count('not tested') };
}

/** Answers without those to questions that are not asked any more, so that nothing hidden counts. */
export function withoutHidden(facts: ScreeningAnswers): ScreeningAnswers {
  let now = facts;
  // A hidden answer may have opened a further question, so it is looked at again.
  for (;;) {
    const asked = new Set<string>(questionsFor(now).map((question) => question.id));
    const kept = Object.entries(now.answers).filter(([id]) => asked.has(id));
    if (kept.length === Object.keys(now.answers).length) return now;
    now = { ...now, answers: Object.fromEntries(kept) };
  }
}

/** The questions answered "yes", as the clinician reads them. */
export function yesInWords(facts: ScreeningAnswers): string[] {
  return (Object.keys(facts.answers) as QuestionId[])
    .filter((id) => facts.answers[id] === 'yes' && !questionOf(id).calms)
    .map((id) => questionOf(id).ask);
}
