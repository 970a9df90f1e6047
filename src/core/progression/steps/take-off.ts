import { HOLD_LADDERS } from '../../school';
import { type MeasureName, asksLess } from '../../course';
import {
  type BandLevel,
  type Dose,
  type Stations,
  barriersOf,
  formatDose,
  holdOf,
  parseDose,
  without,
  restAsGap,
  withoutIdleGap,
} from '../../dose';
import { type Range, exactly, isExact, keptAnswers, seconds, toTenth } from '../../units';
import { withHold } from './holds';

/** A load goes down by this share when it was too much and no lighter weight is owned. Common practice, no source. */
const LIGHTER = 0.9;
/** Repetitions go down to this share. Ours, no source. */
const FEWER = 0.7;
/** The longest gap between days that a rest asks for. Ours. */
const RAREST_DAYS = 3;
/** Every station of the trade's ladders, seconds. */
const TRADE_HOLDS = HOLD_LADDERS.flat();
const LEVELS: readonly BandLevel[] = ['light', 'medium', 'firm'];

/** What taking off goes by beside the dose itself. */
export type TakeOffFacts = {
  /** Holds that are gone back through, seconds, in any order. */
  readonly stations: readonly number[];
  /** Weights there are; empty where any can be set. */
  readonly owned: readonly number[];
};

/** What can be taken off, one measure each; `volume` is sets or repetitions. */
export type Takeable = Exclude<MeasureName, 'work'>;

/**
 * The same dose with one measure a notch less, in the order that a school gives; it asks less in that
 * measure and more in none.
 *
 * @returns null where none of them can be taken off
 * @example takeOff(parse('x10 hold 10s'), ['hold'], { stations: [3, 5, 10], owned: [] }) // x10 hold 5s
 */
export function takeOff(
  dose: Dose,
  order: readonly Takeable[],
  facts: TakeOffFacts,
): { readonly dose: Dose; readonly measure: Takeable } | null {
  for (const measure of order) {
    const less = lessOf(dose, measure, facts);
    const found = less && withoutIdleGap(less);
    if (found && asksLess(found, dose) && isReadable(found)) return { dose: found, measure };
  }
  return null;
}

/** The same few doses are taken off again and again: each is tried once. */
const MOST_TRIED = 2000;
const tried = keptAnswers<string, boolean>(MOST_TRIED);

/** Every dose goes to a version as a line: one that cannot be read back is none. */
export function isReadable(dose: Dose): boolean {
  const line = formatDose(dose);
  return tried(line, () => parseDose(line).ok);
}

function lessOf(dose: Dose, measure: Takeable, facts: TakeOffFacts): Dose | null {
  switch (measure) {
    case 'hold':
      return shorterHold(dose, facts.stations);
    case 'volume':
      return fewer(dose);
    case 'stations':
      return fewerStations(dose);
    case 'load':
      return lighter(dose, facts.owned);
    case 'band':
      return lighterBand(dose);
    case 'effort':
      return easier(dose);
    case 'times':
      return rarer(dose);
    case 'days':
      return withDayBetween(dose);
  }
}

/** The lower end of a range first, then the station below, then half. */
function shorterHold(dose: Dose, stations: readonly number[]): Dose | null {
  const hold = holdOf(dose);
  if (!hold) return null;
  if (!isExact(hold)) return withHold(dose, exactly(hold.least));
  const below = [...stations].sort((a, b) => b - a).find((one) => one < hold.most);
  // Below the last station of its own: half, or the trade's next shorter one where that is more.
  const shorter = TRADE_HOLDS.filter((one) => one < hold.most);
  const to = below ?? Math.max(Math.floor(hold.most / 2), ...shorter);
  return to >= 1 && to < hold.most ? withHold(dose, exactly(seconds(to))) : null;
}

const lessRange = (range: Range, by: (value: number) => number): Range | null => {
  if (!isExact(range)) return exactly(range.least);
  const to = by(range.most);
  return to >= 1 && to < range.most ? exactly(to) : null;
};

/** One repetition fewer in every set that has more than one: 6-4-2 becomes 5-3-1. */
export function fewerInEach<N extends number | 'max'>(reps: readonly N[]): readonly N[] | null {
  const less = reps.map((one) => (typeof one === 'number' && one > 1 ? ((one - 1) as N) : one));
  return less.some((one, at) => one !== reps[at]) ? less : null;
}

/** A set or bout fewer; of a single set, fewer repetitions. */
function fewer(dose: Dose): Dose | null {
  const { head, load } = dose;
  if (head.kind === 'bouts') {
    const bouts = lessRange(head.bouts, (n) => n - 1);
    return bouts && restAsGap({ ...dose, head: { ...head, bouts } });
  }
  if (head.kind === 'pyramid') {
    const reps = (load?.perSet.length ?? 1) === 1 ? fewerInEach(head.reps) : null;
    return reps && { ...dose, head: { ...head, reps } };
  }
  // Loads that are written set by set fix the sets.
  const oneLoad = load === undefined || load.perSet.length === 1;
  const sets = oneLoad ? lessRange(head.sets, (n) => n - 1) : null;
  if (sets && sets.most > (dose.warmUpSets ?? 0))
    return restAsGap({ ...dose, head: { ...head, sets } });
  const reps = lessRange(head.reps, (n) => Math.floor(n * FEWER));
  return reps && { ...dose, head: { ...head, reps } };
}

/** A barrier or an angle fewer; of two barriers one plain hold is left. */
function fewerStations(dose: Dose): Dose | null {
  const { stations } = dose;
  if (!stations) return null;
  const count =
    stations.kind === 'degrees'
      ? stations.degrees.length
      : Math.max(stations.count, barriersOf(dose));
  if (count <= 2) {
    if (stations.kind !== 'barriers') return null;
    return without(dose, 'stations');
  }
  const left: Stations =
    stations.kind === 'degrees'
      ? { kind: 'degrees', degrees: stations.degrees.slice(0, -1) }
      : { ...stations, count: count - 1 };
  return { ...dose, stations: left };
}

/**
 * Every set lighter: the next weight that is owned below its own, else a tenth less; never nothing. Of
 * percents a tenth less as well.
 */
function lighter(dose: Dose, owned: readonly number[]): Dose | null {
  const { load } = dose;
  if (load?.kind === 'percent')
    return {
      ...dose,
      load: { ...load, perSet: load.perSet.map((one) => Math.max(1, Math.floor(one * LIGHTER))) },
    };
  if (load?.kind !== 'weight') return null;
  const below = (one: number) => {
    const found = owned.filter((weight) => weight > 0 && weight < one);
    if (owned.length > 0) return found.length > 0 ? Math.max(...found) : one;
    return Math.max(0.1, toTenth(one * LIGHTER));
  };
  const perSet = load.perSet.map((one) => (one === 'adj' ? one : below(one)));
  return { ...dose, load: { ...load, perSet } };
}

function lighterBand(dose: Dose): Dose | null {
  const { band } = dose;
  if (!band) return null;
  if (band.band.kind === 'named')
    return band.stretchPercent !== undefined && band.stretchPercent > 20
      ? { ...dose, band: { ...band, stretchPercent: band.stretchPercent - 20 } }
      : null;
  const level = LEVELS[LEVELS.indexOf(band.band.level) - 1];
  return level ? { ...dose, band: { ...band, band: { kind: 'level', level } } } : null;
}

function easier(dose: Dose): Dose | null {
  const { effort } = dose;
  if (!effort) return null;
  const { least, most } = effort.range;
  const by = effort.kind === 'percent' ? 10 : 1;
  if (least < most) return { ...dose, effort: { ...effort, range: exactly(least) } };
  return most > by ? { ...dose, effort: { ...effort, range: exactly(most - by) } } : null;
}

/** Once a day less; what is done by the clock or when needed is left to the clinician. */
function rarer(dose: Dose): Dose | null {
  if (dose.times?.kind !== 'per day') return null;
  const { least, most } = dose.times.times;
  if (most <= 1) return null;
  return {
    ...dose,
    times: { kind: 'per day', times: { least: Math.min(least, most - 1), most: most - 1 } },
  };
}

/**
 * A day in between: daily becomes every other day, that every third; of named days the last one goes.
 *
 * @returns null where the days are rare enough already
 */
export function withDayBetween(dose: Dose): Dose | null {
  const { days } = dose;
  if (days === undefined || days.kind === 'daily')
    return { ...dose, days: { kind: 'every', n: 2 } };
  if (days.kind === 'every') {
    const n = days.n + 1;
    return n <= RAREST_DAYS ? { ...dose, days: { kind: 'every', n } } : null;
  }
  // Fewer than two days a week teach nothing.
  const weekdays = days.weekdays.slice(0, -1);
  return weekdays.length >= 2 ? { ...dose, days: { ...days, weekdays } } : null;
}
