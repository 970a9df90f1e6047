import type { Asked } from '../records';
import type { Move, MoveClass } from './move';

/** A proposal as pages show it: its doses as lines, its exercise by name. */
export type ShownProposal = {
  readonly key: string;
  readonly lineage: string;
  readonly move: Move;
  readonly kind: MoveClass;
  readonly name: string;
  readonly becomes: string | null;
  readonly from: string;
  readonly to: string | null;
  /** Other lines to choose, with what speaks for or against each. */
  readonly choices: readonly { readonly line: string; readonly say: string }[];
  readonly asks: Asked | null;
  readonly why: string;
  readonly source: string;
  /** Growth that would go beyond the patient's minutes. */
  readonly beyond: boolean;
};

/** What stands to be decided about a patient's lines, as the Follow page, the Plan desk and the review show it. */
export type ShownProposals = {
  /** The newest version: what is accepted goes into the one after it. */
  readonly version: number;
  /** The first day that one may begin, a local date. */
  readonly earliest: string;
  readonly open: readonly ShownProposal[];
  readonly stays: readonly {
    readonly lineage: string;
    readonly name: string;
    readonly why: string;
  }[];
  /** Accepted and not written yet. */
  readonly waiting: readonly { readonly key: string; readonly name: string }[];
  /** Names of waiting lines that something has gone wrong with since: to be decided before they are written. */
  readonly undecided: readonly string[];
  /** What the next version would change, in words. */
  readonly difference: readonly string[];
  /** The day's least time in words: now, with all, and what the patient has. */
  readonly minutes: { readonly now: string; readonly all: string; readonly has: string | null };
};
