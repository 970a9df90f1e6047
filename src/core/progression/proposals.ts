import { presentOf } from '../course';
import { type Dose, formatDose } from '../dose';
import type { Exercise } from '../exercise';
import type { Asked } from '../records';
import type { Seconds } from '../units';
import type { Step, StepFacts } from './facts';
import { type Move, isGrowth } from './move';
import { nextStep } from './next-step';
import type { Choice } from './schools';

/** A step that would change something, for a clinician to accept, edit or decline. */
export type Proposal = {
  /** The same as long as it proposes the same because of the same: a decision is kept under it. */
  readonly key: string;
  readonly lineage: string;
  readonly move: Exclude<Move, 'stay'>;
  /** What happened when: the decision is about this, and hides nothing that comes after it. */
  readonly event: string;
  /** What the line is now. */
  readonly exercise: Exercise;
  readonly from: string;
  /** Null where it stops, asks, or the next session is left out. */
  readonly to: string | null;
  readonly dose: Dose | null;
  /** The exercise it becomes; null where it stays the same. */
  readonly becomes: Exercise | null;
  /** Other doses to choose. */
  readonly choices: readonly Choice[];
  readonly asks: Asked | null;
  readonly why: string;
  readonly source: string;
};

export type LineFacts = StepFacts & { readonly lineage: string };

/** What a line's course came to: a proposal, or why it stays. */
export type LineOutlook =
  | { readonly lineage: string; readonly kind: 'proposal'; readonly proposal: Proposal }
  | { readonly lineage: string; readonly kind: 'stay'; readonly step: Step };

/** The outlook of a line. Pure: the same facts propose the same. */
export function outlookOf(line: LineFacts): LineOutlook {
  const { lineage } = line;
  const step = nextStep(line);
  return step.move === 'stay'
    ? { lineage, kind: 'stay', step }
    : { lineage, kind: 'proposal', proposal: proposalOf(line, step, step.move) };
}

function proposalOf(line: LineFacts, step: Step, move: Proposal['move']): Proposal {
  const from = formatDose(presentOf(line.course).dose);
  const to = step.dose && formatDose(step.dose);
  return {
    key: [line.lineage, move, step.event, from, to ?? '', step.exercise?.id ?? ''].join(' | '),
    lineage: line.lineage,
    move,
    event: step.event,
    exercise: line.exercise,
    from,
    to,
    dose: step.dose,
    becomes: step.exercise,
    choices: step.choices,
    asks: step.asks,
    why: step.why,
    source: step.source,
  };
}

export type Weighed = {
  /** Least seconds on the fullest day: now, with all accepted, with what fits. */
  readonly now: Seconds;
  readonly withAll: Seconds;
  readonly withFitting: Seconds;
  /** Keys of the growth that would go beyond the patient's minutes. */
  readonly beyond: readonly string[];
};

/**
 * Several proposals at once against the patient's minutes: steps down always, then growth from the
 * cheapest on while the fullest day still fits. A day that is over already takes no dearer growth.
 *
 * @param secondsWith least seconds on the fullest day with these proposals accepted
 * @param minutesADay null when the patient was not asked: everything fits
 */
export function weighProposals(
  proposals: readonly Proposal[],
  minutesADay: number | null,
  secondsWith: (accepted: readonly Proposal[]) => Seconds,
): Weighed {
  const now = secondsWith([]);
  const withAll = secondsWith(proposals);
  const taken = proposals.filter((proposal) => !isGrowth(proposal));
  const growth = proposals
    .filter(isGrowth)
    .map((proposal) => ({ proposal, costs: secondsWith([proposal]) - now }))
    .sort((a, b) => a.costs - b.costs);
  const beyond: string[] = [];
  for (const { proposal, costs } of growth) {
    const then = secondsWith([...taken, proposal]);
    if (minutesADay !== null && costs > 0 && then > minutesADay * 60) beyond.push(proposal.key);
    else taken.push(proposal);
  }
  return { now, withAll, withFitting: secondsWith(taken), beyond };
}
