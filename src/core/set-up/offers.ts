import type { Dose } from '../dose';
import type { Exercise } from '../exercise';
import type { SetUp, SetUpFact } from '../records';

/** A measured set-up that is not on its line yet, or stands there as it was measured before. */
export type SetUpOffer = {
  readonly setUp: SetUp;
  /** What it takes the place of; null for a new one. */
  readonly replaces: SetUp | null;
};

/** True for two facts that say the same to the patient. */
export function sameFact(a: SetUpFact, b: SetUpFact): boolean {
  switch (a.kind) {
    case 'pad':
      return b.kind === 'pad' && a.cm === b.cm;
    case 'blanket':
      return b.kind === 'blanket' && a.cm === b.cm && a.under === b.under;
    case 'looking up':
      return b.kind === 'looking up' && a.degrees === b.degrees;
    case 'push':
      return b.kind === 'push' && a.side === b.side && a.least === b.least && a.most === b.most;
    case 'band':
      return b.kind === 'band' && a.name === b.name && a.lengths === b.lengths;
    case 'cue':
      return b.kind === 'cue' && a.cue === b.cue;
  }
}

/** True where one is the newer word on the other; cues stand beside each other. */
export function isAbout(a: SetUpFact, b: SetUpFact): boolean {
  if (a.kind === 'push' && b.kind === 'push') return a.side === b.side;
  return a.kind === b.kind && a.kind !== 'cue';
}

/**
 * What the measures offer to a line: what is not on it yet, and what was measured anew since. The same
 * number measured again asks for nothing.
 *
 * @param taken what the line has
 * @param measured what stands now (`measuredSetUp`)
 */
export function setUpOffers(
  taken: readonly SetUp[],
  measured: readonly SetUp[],
): readonly SetUpOffer[] {
  return measured.flatMap((setUp): SetUpOffer[] => {
    if (taken.some(({ fact }) => sameFact(fact, setUp.fact))) return [];
    const replaces = taken.find(({ fact }) => isAbout(fact, setUp.fact)) ?? null;
    return [{ setUp, replaces }];
  });
}

/** A line's set-up with what it was offered. */
export function withOffers(taken: readonly SetUp[], offers: readonly SetUpOffer[]): SetUp[] {
  const replaced = new Set(offers.map(({ replaces }) => replaces));
  return [...taken.filter((setUp) => !replaced.has(setUp)), ...offers.map(({ setUp }) => setUp)];
}

/** What of a line's set-up still fits when its exercise or its dose has become another. */
export function keptSetUp(
  taken: readonly SetUp[],
  exercise: Pick<Exercise, 'setUps' | 'strength'>,
  dose: Dose | null,
): SetUp[] {
  return taken.filter(({ fact }) => {
    switch (fact.kind) {
      case 'pad':
      case 'blanket':
      case 'looking up':
        return exercise.setUps.includes(fact.kind);
      case 'push':
        return exercise.strength !== null && dose?.effort?.kind === 'percent';
      case 'band':
        return dose?.band?.stretchPercent !== undefined;
      case 'cue':
        return true;
    }
  });
}
