/** What was done at a visit, by what there is a record of. */
export const VISIT_DEEDS = [
  'screened',
  'measured',
  'photographed',
  'found',
  'planned',
  'taught',
  'decided',
  'noted',
  'referred',
  'wrote a letter',
  'asked',
] as const;
export type VisitDeed = (typeof VISIT_DEEDS)[number];

/** The steps of a visit. */
export const VISIT_STEPS = ['screen', 'measure', 'plan', 'teach', 'follow'] as const;
export type VisitStep = (typeof VISIT_STEPS)[number];

const STEP_OF: Readonly<Record<VisitDeed, VisitStep>> = {
  screened: 'screen',
  asked: 'screen',
  referred: 'screen',
  measured: 'measure',
  photographed: 'measure',
  found: 'measure',
  planned: 'plan',
  taught: 'teach',
  noted: 'teach',
  decided: 'follow',
  'wrote a letter': 'follow',
};

/** The steps of which something was done. */
export function stepsDone(deeds: readonly VisitDeed[]): VisitStep[] {
  return VISIT_STEPS.filter((step) => deeds.some((deed) => STEP_OF[deed] === step));
}
