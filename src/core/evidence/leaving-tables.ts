import { type Told, toldParts } from './guard';
import { LAST_TOLD, type LastTold } from './leaving';
import { type Band, type EpisodeOf, cellOf, isFewPatients, isIn } from './told';

const LEAVING_WEEKS: readonly Band[] = [
  { from: 1, to: 1 },
  { from: 2, to: 2 },
  { from: 3, to: 4 },
  { from: 5, to: 8 },
  { from: 9, to: 12 },
  { from: 13, to: null },
];

export type LeavingTables = {
  readonly leavingWeeks: readonly (Band & { readonly count: Told })[];
  readonly lastTold: readonly { readonly what: LastTold; readonly count: Told }[];
};

/** In which week patients left, and what they told last; empty where fewer than five have. */
export function leavingTables(all: readonly EpisodeOf[]): LeavingTables {
  const left = all.filter(({ facts: { ending } }) => ending === 'left');
  if (isFewPatients(left)) return { leavingWeeks: [], lastTold: [] };
  const inWeek = (band: Band) => left.filter(({ facts: { week } }) => isIn(band, week ?? 0));
  const weeks = toldParts(LEAVING_WEEKS.map((band) => cellOf(inWeek(band))));
  const what = toldParts(
    LAST_TOLD.map((one) => cellOf(left.filter(({ facts: { lastTold } }) => lastTold === one))),
  );
  return {
    leavingWeeks: LEAVING_WEEKS.map((band, at) => ({ ...band, count: weeks[at] ?? null })),
    lastTold: LAST_TOLD.map((one, at) => ({ what: one, count: what[at] ?? null })),
  };
}
