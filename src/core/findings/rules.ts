import { ABOUT_NOTHING } from './about';
import type { FindingFacts, ProposedFinding } from './facts';
import { MOVEMENT_RULES } from './movement-rules';
import { POSTURE_RULES } from './posture-rules';
import type { FindingRule } from './rule';
import { STRENGTH_RULES } from './strength-rules';
import { SYMPTOM_RULES } from './symptom-rules';

/** Every rule from measures to findings, in the order of the visit. Adding one is adding a row. */
export const FINDING_RULES: readonly FindingRule[] = [
  ...POSTURE_RULES,
  ...MOVEMENT_RULES,
  ...STRENGTH_RULES,
  ...SYMPTOM_RULES,
];

/**
 * What the measures say, rule by rule, in the order of the visit. Proposals only: a finding counts
 * once a clinician has confirmed it.
 */
export function proposeFindings(facts: FindingFacts): ProposedFinding[] {
  return FINDING_RULES.flatMap((rule) =>
    rule.read(facts).map(({ apart, say, source, towards, cue, ...about }) => ({
      key: apart === undefined ? rule.id : `${rule.id}: ${apart}`,
      about: { ...ABOUT_NOTHING, ...about, rule: rule.id },
      say,
      source: source ?? rule.source,
      towards: towards ?? rule.towards,
      cue: cue ?? null,
    })),
  );
}
