import { type ScreeningAnswers, type Truth, truthOf } from './answers';
import type { QuestionId } from './question-ids';

export type NeckInjuryVerdict =
  /** No injury, or one that a physician has cleared since. */
  | { readonly kind: 'not needed' }
  | { readonly kind: 'cleared by the rule' }
  | { readonly kind: 'image'; readonly because: readonly string[] }
  | { readonly kind: 'does not apply'; readonly because: readonly string[] }
  | { readonly kind: 'unanswered'; readonly missing: readonly string[] };

/** The rule was made on people of this age and more, in years. */
export const NECK_RULE_ADULT_FROM = 16;
const NECK_RULE_OLD_FROM = 65;

/**
 * The published rule for imaging after a neck injury (Canadian C-spine rule, Stiell 2001), for
 * alert, stable adults with a recent blunt injury, not pregnant, without known spinal disease or
 * earlier neck surgery. A high-risk factor, no low-risk factor, or not turning 45° both ways asks
 * for an image. Where it does not apply the answer is to refer, never to clear, and its signs count
 * all the same.
 *
 * @example // alert, recent, low-risk, turns 45° → { kind: 'cleared by the rule' }
 */
export function neckInjuryRule(facts: ScreeningAnswers): NeckInjuryVerdict {
  const is = (id: QuestionId) => truthOf(facts, id);
  if (is('neck-injury') !== true || is('neck-injury-cleared') === true)
    return { kind: 'not needed' };
  const adult: Truth = facts.age === null ? null : facts.age >= NECK_RULE_ADULT_FROM;
  const outside = [
    [is('injury-recent') === false, 'the injury is not recent'],
    [is('alert-stable') === false, 'not fully alert and stable'],
    [adult === false, `under ${NECK_RULE_ADULT_FROM}`],
    [is('pregnancy') === true, 'pregnant'],
    [is('spinal-disease') === true, 'known spinal disease or neck surgery'],
  ] as const;
  const because = outside.filter(([fails]) => fails).map(([, words]) => words);
  if (because.length > 0) return { kind: 'does not apply', because };
  const signs = neckInjurySigns(facts);
  if (signs.length > 0) return { kind: 'image', because: signs };
  const open: readonly (readonly [Truth, string])[] = [
    [is('neck-injury-cleared'), 'seen by a physician since'],
    [is('injury-recent'), 'when it happened'],
    [is('alert-stable'), 'alert and stable'],
    [adult, 'the age'],
    [is('pregnancy'), 'pregnancy'],
    [is('spinal-disease'), 'spinal disease or neck surgery'],
    [is('dangerous-mechanism'), 'the mechanism'],
    [is('limb-tingling'), 'tingling in the limbs'],
    [is('low-risk-factor'), 'a low-risk factor'],
    [is('turns-45'), 'turning 45°'],
  ];
  const missing = open.filter(([truth]) => truth === null).map(([, words]) => words);
  return missing.length > 0 ? { kind: 'unanswered', missing } : { kind: 'cleared by the rule' };
}

/**
 * What speaks for an image after an injury that no physician has cleared: the rule's high-risk
 * factors, no low-risk factor, or a neck that does not turn 45°. They stand by themselves: what takes
 * the rule away (more than 48 hours, pregnancy, a known disease, a child) makes none of them smaller.
 *
 * @returns their words; none when there is no such injury
 */
export function neckInjurySigns(facts: ScreeningAnswers): readonly string[] {
  const is = (id: QuestionId) => truthOf(facts, id);
  if (is('neck-injury') !== true || is('neck-injury-cleared') === true) return [];
  const signs = [
    [facts.age !== null && facts.age >= NECK_RULE_OLD_FROM, `${NECK_RULE_OLD_FROM} or over`],
    [is('dangerous-mechanism') === true, 'dangerous mechanism'],
    [is('limb-tingling') === true, 'tingling in the limbs'],
    [is('low-risk-factor') === false, 'no low-risk factor'],
    [is('turns-45') === false, 'cannot turn 45° to both sides'],
  ] as const;
  return signs.filter(([holds]) => holds).map(([, words]) => words);
}
