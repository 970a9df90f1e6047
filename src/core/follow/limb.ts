import { ARM_CHAIN, LEG_CHAIN, REGIONS, type RegionId, type Side, partOf } from '../symptoms';
import type { LocalDate } from '../units';
import { WINDOW_READINGS } from './course';
import { type Reading, inOrder } from './reading';

export type Limb = { readonly chain: 'arm' | 'leg'; readonly side: Side };
export const LIMBS: readonly Limb[] = [
  { chain: 'arm', side: 'left' },
  { chain: 'arm', side: 'right' },
  { chain: 'leg', side: 'left' },
  { chain: 'leg', side: 'right' },
];

const CHAINS = { arm: ARM_CHAIN, leg: LEG_CHAIN } as const;
/** From here on a mark is in the limb; before it, at the spine. */
export const IN_LIMB = 2;

/** The furthest order marked on one limb, 0–6; −1 when nothing is marked there. */
export function reachOf({ chain, side }: Limb, where: readonly RegionId[]): number {
  let furthest = -1;
  for (const region of where) {
    const order = orderIn(region, chain, side);
    if (order > furthest) furthest = order;
  }
  return furthest;
}

/** Where each region lies in each limb: a handful of them, asked for of every day of every list. */
const orders = new Map<string, ReadonlyMap<RegionId, number>>();

/** A region's order in a limb; −1 where it is not in it. */
function orderIn(region: RegionId, chain: Limb['chain'], side: Side): number {
  const limb = `${chain} ${side}`;
  let known = orders.get(limb);
  if (!known) {
    const parts: readonly string[] = CHAINS[chain];
    known = new Map(
      REGIONS.filter((one) => one.includes(` ${side} `)).map((one) => [
        one,
        parts.indexOf(partOf(one)),
      ]),
    );
    orders.set(limb, known);
  }
  return known.get(region) ?? -1;
}

/** @example partAt('arm', 5) // 'hand' */
export function partAt(chain: 'arm' | 'leg', order: number): string {
  return CHAINS[chain][Math.round(order)] ?? 'nowhere';
}

export type LimbVerdict = {
  readonly limb: Limb;
  readonly course: 'drawing in' | 'spreading' | 'no clear change' | 'not enough to say';
  /** How far it reached on at least two of the first and the last readings, as orders; null with too few. */
  readonly from: number | null;
  readonly to: number | null;
  /** Drawing in, and nothing grows that would make it no comfort. */
  readonly better: boolean;
  readonly say: string;
};

/** The furthest order reached on at least two of some days, so that one odd evening decides nothing. */
function reachedTwice(orders: readonly number[]): number {
  return [...orders].sort((a, b) => b - a)[1] ?? -1;
}

/** Days running beyond the usual reach that count as spreading at once. */
export const SPREADING_DAYS = 2;
/** Fewer readings say nothing of a limb yet. Common practice, no source. */
const LEAST = 5;

/**
 * Whether symptoms of a limb draw in towards the spine or spread from it: how far they reached on two
 * of the last readings against the first, by a whole part of the limb, and two days running beyond
 * the first week's furthest at once. Days without symptoms make them rarer, not nearer: they do not
 * count as drawn in, and symptoms that come more often do not count as spread. More pain at the spine meanwhile changes nothing; growing weakness or
 * numbness does: drawing in is then never called better.
 *
 * @param readings furthest order a day, 0–6, −1 where nothing was felt; in any order
 * @param deficitGrows new weakness, or less feeling, than before
 */
export function judgeLimb(
  limb: Limb,
  readings: readonly Reading[],
  deficitGrows: boolean,
): LimbVerdict {
  const told = inOrder(readings);
  const name = `${limb.side} ${limb.chain}`;
  if (told.length < LEAST)
    return {
      limb,
      course: 'not enough to say',
      from: null,
      to: null,
      better: false,
      say: `Told of the ${name} on ${told.length} days: at least ${LEAST} are needed.`,
    };
  const window = Math.min(WINDOW_READINGS, Math.floor(told.length / 2));
  const start = told.slice(0, window).map(({ value }) => value);
  const from = reachedTwice(start);
  const to = reachedTwice(told.slice(-window).map(({ value }) => value));
  const usual = Math.max(...start, IN_LIMB - 1);
  const lately = told.slice(-SPREADING_DAYS);
  const spreadsNow = lately.length === SPREADING_DAYS && lately.every(({ value }) => value > usual);
  const course =
    spreadsNow || (to - from >= 1 && to >= IN_LIMB)
      ? 'spreading'
      : from - to >= 1
        ? 'drawing in'
        : 'no clear change';
  const better = course === 'drawing in' && !deficitGrows;
  const part = (order: number) => partAt(limb.chain, order);
  const reach = `from the ${part(from)} to the ${part(to)}`;
  const beyond = `usually to the ${part(usual)}, the last ${SPREADING_DAYS} days to the ${part(Math.min(...lately.map(({ value }) => value)))}`;
  const say =
    course === 'drawing in'
      ? `The ${name} draws in, ${reach}.${deficitGrows ? ' Weakness or numbness grows meanwhile: this is not better.' : ''}`
      : course === 'spreading'
        ? `The ${name} spreads: ${spreadsNow ? beyond : reach}.`
        : `The ${name} shows no clear change (${part(to)}).`;
  return { limb, course, from, to, better, say };
}

/** Days running, up to the newest, on which a limb reached beyond its usual. */
export function daysSpreading(readings: readonly Reading[]): number {
  const told = inOrder(readings);
  const usual = Math.max(...told.slice(0, WINDOW_READINGS).map(({ value }) => value), IN_LIMB - 1);
  let days = 0;
  for (const { value } of told.slice(WINDOW_READINGS).reverse()) {
    if (value <= usual) break;
    days += 1;
  }
  return days;
}

/** The limb's readings over days that were told of. */
export function limbReadings(
  limb: Limb,
  days: readonly { readonly date: LocalDate; readonly where: readonly RegionId[] | null }[],
): Reading[] {
  return days.flatMap(({ date, where }) =>
    where === null ? [] : [{ date, value: reachOf(limb, where) }],
  );
}
