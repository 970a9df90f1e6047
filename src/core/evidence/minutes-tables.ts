import { type Mean, meanInterval } from '../statistics';
import { type Told, toldTable } from './guard';
import {
  type Band,
  type EpisodeOf,
  type ToldShare,
  cellOf,
  isFewPatients,
  isIn,
  toldKnown,
  toldShare,
  within01,
} from './told';

export type MinutesTable = Band &
  Mean & {
    readonly of: Told;
    /** Who did four fifths of it and more. */
    readonly most: ToldShare;
  };

const MINUTES: readonly Band[] = [
  { from: 0, to: 4 },
  { from: 5, to: 9 },
  { from: 10, to: 14 },
  { from: 15, to: 19 },
  { from: 20, to: 29 },
  { from: 30, to: null },
];
/** Doing so much of the dose is doing most of it. Common practice, no source. */
const MOST_OF_IT = 0.8;

/** How much of the dose is done by how many minutes a day are asked. */
export function minutesTables(all: readonly EpisodeOf[]): MinutesTable[] {
  const known = all.filter(({ facts }) => facts.minutes !== null && facts.share !== null);
  const bands = joined(
    MINUTES.map((band) => ({
      band,
      members: known.filter(({ facts }) => isIn(band, facts.minutes ?? 0)),
    })),
  );
  // Where the rest can be reckoned, so could what a share is of.
  const counted = new Set(bands.flatMap(({ members }) => members).map(({ facts }) => facts));
  const [countedOf] = toldKnown([{ name: '', members: all }], (facts) => counted.has(facts));
  const mayCount = countedOf !== null;
  const does = (one: EpisodeOf) => (one.facts.share ?? 0) >= MOST_OF_IT;
  const told = toldTable(
    bands.map(({ members }) => [
      cellOf(members.filter(does)),
      cellOf(members.filter((one) => !does(one))),
    ]),
  );
  return bands.flatMap(({ band, members }, at) => {
    const mean = meanInterval(members.map(({ facts }) => facts.share ?? 0));
    if (!mean) return [];
    const most = mayCount ? toldShare(told[at]?.[0] ?? null, members.length) : null;
    return [{ ...band, ...within01(mean), of: mayCount ? members.length : null, most }];
  });
}

type InBand = { readonly band: Band; readonly members: readonly EpisodeOf[] };

/** A band of too few is put to the one below it; the lowest to the one above. None where all are too few. */
function joined(bands: readonly InBand[]): InBand[] {
  const found: InBand[] = [];
  for (const next of bands.filter(({ members }) => members.length > 0)) {
    const last = found.at(-1);
    const isFew = (one: InBand) => isFewPatients(one.members);
    if (last && (isFew(last) || isFew(next)))
      found[found.length - 1] = {
        band: { from: last.band.from, to: next.band.to },
        members: [...last.members, ...next.members],
      };
    else found.push(next);
  }
  return found.filter(({ members }) => !isFewPatients(members));
}
