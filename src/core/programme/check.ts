import type { Flag } from '../screen';
import type { SetUpOffer } from '../set-up';
import type { PlannedLine } from './planned-line';

export const CHECK_AREAS = ['complete', 'safe', 'feasible', 'covers', 'trade'] as const;
export type CheckArea = (typeof CHECK_AREAS)[number];

/** Something the checks pane says; `stops` keeps the programme from being sent. */
export type Check = {
  readonly area: CheckArea;
  readonly weight: 'stops' | 'look' | 'note';
  readonly say: string;
  /** The line it is about; null for the whole programme. */
  readonly line: string | null;
};

/** A line as the desk knows it: understood or not, with what it lacks. */
export type CheckedLine = {
  readonly id: string;
  readonly name: string;
  /** Null while its dose cannot be read. */
  readonly planned: PlannedLine | null;
  readonly missing: readonly string[];
  readonly assumed: readonly string[];
  /** What the measures offer to its set-up. */
  readonly offers: readonly SetUpOffer[];
  readonly flags: readonly Flag[];
  /** Flags that have no reason to go ahead yet. */
  readonly openFlags: readonly Flag[];
};
