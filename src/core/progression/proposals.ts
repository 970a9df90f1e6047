import { type Dose, formatDose } from '../dose';
import type { Exercise } from '../exercise';
import type { Seconds } from '../units';
import { type Move, type Step, type StepFacts, nextStep } from './next-step';

/** A step that would change something, for a clinician to accept, edit or decline. */
export type Proposal = {
  /** The same as long as it proposes the same for the same dose: a decision is kept under it. */
  readonly key: string;
  readonly lineage: string;
  readonly move: Exclude<Move, 'stay'>;
  /** What the line is now. */
  readonly exercise: Exercise;
  readonly from: string;
  /** Null where it stops, or the next session is left out. */
  readonly to: string | null;
  readonly dose: Dose | null;
  /** The exercise it becomes; null where it stays the same. */
  readonly becomes: Exercise | null;
  readonly why: string;
  readonly source: string;
};

export type LineFacts = StepFacts & { readonly lineage: string };

/** What a line's logs came to: a proposal, or why it stays. */
export type LineOutlook =
  | { readonly lineage: string; readonly kind: 'proposal'; readonly proposal: Proposal }
  | { readonly lineage: string; readonly kind: 'stay'; readonly step: Step };

/** The outlook of every line, in their order. Pure: the same record proposes the same. */
export function outlooksOf(lines: readonly LineFacts[]): LineOutlook[] {
  return lines.map((line): LineOutlook => {
    const { lineage } = line;
    const step = nextStep(line);
    return step.move === 'stay'
      ? { lineage, kind: 'stay', step }
      : { lineage, kind: 'proposal', proposal: proposalOf(line, step, step.move) };
  });
}

function proposalOf(line: LineFacts, step: Step, move: Proposal['move']): Proposal {
  const from = formatDose(line.dose);
  const to = step.dose && formatDose(step.dose);
  return {
    key: [line.lineage, move, from, to ?? '', step.exercise?.id ?? ''].join(' | '),
    lineage: line.lineage,
    move,
    exercise: line.exercise,
    from,
    to,
    dose: step.dose,
    becomes: step.exercise,
    why: step.why,
    source: step.source,
  };
}

/** Steps down and rests come before growth; growth that costs no time before growth that does. */
export function isGrowth({ move }: Pick<Proposal, 'move'>): boolean {
  return move.startsWith('advance');
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
