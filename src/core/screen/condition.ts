import { type ScreeningAnswers, type Truth, truthOf } from './answers';
import { type CordVerdict, cordSigns } from './cord-signs';
import { type NeckInjuryVerdict, neckInjurySigns, neckInjuryRule } from './neck-injury';
import type { QuestionId } from './question-ids';

/** What a rule waits for, as data. */
export type Condition =
  | { readonly yes: QuestionId }
  | { readonly no: QuestionId }
  /** Anything but "yes": what was not asked reassures nobody. */
  | { readonly unless: QuestionId }
  /** Not asked yet, or not tested. */
  | { readonly open: QuestionId }
  | { readonly all: readonly Condition[] }
  | { readonly any: readonly Condition[] }
  | { readonly atLeast: number; readonly of: readonly QuestionId[] }
  /** Age in whole years, this or more. */
  | { readonly ageFrom: number }
  /** Either number above its limit; `orAt` counts the limit itself. mmHg. */
  | { readonly pressureOver: readonly [number, number]; readonly orAt: boolean }
  | { readonly pressureUnknown: true }
  | { readonly neckInjury: NeckInjuryVerdict['kind'] }
  | { readonly neckInjurySigns: true }
  | { readonly cord: CordVerdict['kind'] };

/**
 * A condition in three-valued logic (Kleene): unknown unless the known answers decide it alone.
 *
 * @returns true, false, or null for not known yet
 * @example holds({ any: [{ yes: 'fever' }, { yes: 'cancer' }] }, feverYes) // true, cancer unasked
 */
export function holds(condition: Condition, facts: ScreeningAnswers): Truth {
  if ('yes' in condition) return truthOf(facts, condition.yes);
  if ('no' in condition) return not(truthOf(facts, condition.no));
  if ('unless' in condition) return truthOf(facts, condition.unless) !== true;
  if ('open' in condition) return truthOf(facts, condition.open) === null;
  if ('all' in condition) return every(condition.all.map((part) => holds(part, facts)));
  if ('any' in condition) return not(every(condition.any.map((part) => not(holds(part, facts)))));
  if ('atLeast' in condition) {
    const truths = condition.of.map((id) => truthOf(facts, id));
    const sure = truths.filter((truth) => truth === true).length;
    const open = truths.filter((truth) => truth === null).length;
    return sure >= condition.atLeast ? true : sure + open < condition.atLeast ? false : null;
  }
  if ('ageFrom' in condition) return facts.age === null ? null : facts.age >= condition.ageFrom;
  if ('pressureOver' in condition) {
    if (!facts.pressure) return false;
    const [systolic, diastolic] = condition.pressureOver;
    const over = (value: number, limit: number) =>
      condition.orAt ? value >= limit : value > limit;
    return over(facts.pressure.systolic, systolic) || over(facts.pressure.diastolic, diastolic);
  }
  if ('pressureUnknown' in condition) return facts.pressure === null;
  if ('neckInjury' in condition) return neckInjuryRule(facts).kind === condition.neckInjury;
  if ('neckInjurySigns' in condition) return neckInjurySigns(facts).length > 0;
  return cordSigns(facts).kind === condition.cord;
}

function not(truth: Truth): Truth {
  return truth === null ? null : !truth;
}

function every(truths: readonly Truth[]): Truth {
  return truths.includes(false) ? false : truths.includes(null) ? null : true;
}
