import type { SchoolId } from '../exercise';

/** One line of a ready programme: the exercise by its id, its dose, and how it grows. */
export type ReadyLine = {
  readonly exerciseId: string;
  readonly dose: string;
  /** Null where it does not grow: it is done the same until the next visit. */
  readonly school: SchoolId | null;
};

/**
 * A programme ready to hand: one working method of the trade, in its order, with neutral name. A
 * clinician takes it as a beginning; nothing of it is decided for a patient. Common practice, no source.
 */
export type ReadyProgramme = {
  /** Stable; never shown. */
  readonly id: string;
  readonly name: string;
  /** What the method does, in one sentence. */
  readonly about: string;
  readonly forWhom: string;
  readonly notFor: string;
  /** What to watch for. */
  readonly cautions: readonly string[];
  /** What the trade disagrees about here, as `DISAGREEMENTS` names it; null where it does not. */
  readonly disagreement: string | null;
  readonly rounds: number;
  /** In the order of the session. */
  readonly lines: readonly [ReadyLine, ...ReadyLine[]];
  /** Words that also find it. */
  readonly keywords: readonly string[];
};

/** What a ready programme is found by and told apart from others, without what it consists of. */
export type ReadyFound = Pick<ReadyProgramme, 'id' | 'name' | 'forWhom' | 'keywords'> & {
  readonly lineCount: number;
};
