import { nextRungIn, previousRungIn } from '../choose';
import type { Exercise } from '../exercise';
import { type LineFacts, type LineOutlook, type Proposal, outlooksOf } from '../progression';
import type { TriageLimits } from '../records';
import { limbWord, limbsOf } from './limbs';
import { logsOf } from './logs';
import {
  type Decided,
  type FollowRecord,
  circumstancesIn,
  judgedVersion,
  precautionsIn,
} from './record';

/** The exercises a clinic chooses from. */
export type Choice = {
  readonly all: readonly Exercise[];
  readonly byId: (id: string) => Exercise | null;
};

/** Every line's outlook: what its logs ask for, or why it stays. */
export function outlook(
  record: FollowRecord,
  catalogue: Choice,
  { goodSessions }: Pick<TriageLimits, 'goodSessions'>,
): LineOutlook[] {
  const version = judgedVersion(record);
  if (!version) return [];
  const circumstances = circumstancesIn(record);
  const above = nextRungIn(catalogue.all, circumstances);
  const below = previousRungIn(catalogue.all, circumstances);
  const limb = limbWord(limbsOf(record), record.deficitGrows);
  return outlooksOf(
    version.lines.flatMap((line): LineFacts[] => {
      const exercise = catalogue.byId(line.exerciseId);
      if (!exercise) return [];
      return [
        {
          lineage: line.lineage,
          exercise,
          dose: line.dose,
          school: line.school,
          logs: logsOf(record, line),
          goodSessions,
          precautions: precautionsIn(record),
          above: above(exercise),
          below: below(exercise),
          owned: record.home?.weights ?? [],
          faults: record.faults.get(line.lineage) ?? 0,
          limb,
        },
      ];
    }),
  );
}

/** The decisions about a version that stand: each proposal's last word, if it was not taken back. */
export function standingDecisions<D extends Decided>(
  decisions: readonly D[],
  version: number,
): D[] {
  const said = new Set<string>();
  return decisions.filter((one) => {
    if (one.version !== version || said.has(one.key)) return false;
    said.add(one.key);
    return one.decision !== 'taken back';
  });
}

/** What was accepted for a version's lines and waits to be written: each line's newest word. */
export function waitingIn<D extends Decided>(
  { decisions }: Pick<FollowRecord<D>, 'decisions'>,
  version: number,
): D[] {
  const seen = new Set<string>();
  return standingDecisions(decisions, version).filter(({ lineage, decision }) => {
    if (seen.has(lineage)) return false;
    seen.add(lineage);
    return decision !== 'declined';
  });
}

/**
 * Proposals nobody has decided on since the version they are about. A line that something was
 * accepted for waits for its version.
 */
export function openProposals(record: FollowRecord, outlooks: readonly LineOutlook[]): Proposal[] {
  const newest = judgedVersion(record)?.number ?? 0;
  const standing = standingDecisions(record.decisions, newest);
  const decided = new Set(standing.map(({ key }) => key));
  const waiting = new Set(
    standing.filter(({ decision }) => decision !== 'declined').map(({ lineage }) => lineage),
  );
  return outlooks.flatMap((one) =>
    one.kind === 'proposal' && !decided.has(one.proposal.key) && !waiting.has(one.proposal.lineage)
      ? [one.proposal]
      : [],
  );
}
