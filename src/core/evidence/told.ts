import { FEWEST_PATIENTS } from '../outlook';
import { type Mean, type Share, shareInterval } from '../statistics';
import type { EpisodeFacts } from './facts';
import { type Cell, type Group, type Told, toldTable } from './guard';

/** An episode's facts, and whose it is: told apart only to count patients. */
export type EpisodeOf = { readonly patient: string; readonly facts: EpisodeFacts };

/** A count that is told, with the share of its whole; null where it is not told. */
export type ToldShare = (Share & { readonly count: number }) | null;

export type Band = {
  readonly from: number;
  /** Up to and with; null without end. */
  readonly to: number | null;
};

export const patientsIn = (all: readonly EpisodeOf[]) =>
  new Set(all.map(({ patient }) => patient)).size;
export const isFewPatients = (all: readonly EpisodeOf[]) => patientsIn(all) < FEWEST_PATIENTS;
export const cellOf = (all: readonly EpisodeOf[]): Cell => ({
  count: all.length,
  patients: patientsIn(all),
});
export const isIn = ({ from, to }: Band, value: number) =>
  value >= from && (to === null || value <= to);

export function toldShare(count: Told, of: number): ToldShare {
  const share = count === null ? null : shareInterval(count, of);
  return share && count !== null ? { ...share, count } : null;
}

/**
 * Of how many of each group something is known, where it may be told: neither those it is not known of, nor
 * what another view tells of all together, gives one to four of them away.
 */
export function toldKnown(
  groups: readonly Group<EpisodeOf>[],
  isKnown: (facts: EpisodeFacts) => boolean,
): Told[] {
  return toldTable(
    groups.map(({ members }) => [
      cellOf(members.filter(({ facts }) => isKnown(facts))),
      cellOf(members.filter(({ facts }) => !isKnown(facts))),
    ]),
  ).map(([known = null]) => known);
}

/** A mean of shares with its interval, which does not leave 0–1. */
export const within01 = ({ mean, low, high }: Mean): Mean => ({
  mean,
  low: Math.max(0, low),
  high: Math.min(1, high),
});
