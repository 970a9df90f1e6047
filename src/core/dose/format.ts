import { type Range, isExact } from '../units';
import { looksTurnedRound } from './head';
import type { Band, Days, Dose, Effort, Head, Load, Stations, Times, Tuck, Until } from './model';

/** The parts of a dose line in the order they are printed. */
export const DOSE_PARTS = [
  'head',
  'hold',
  'tempo',
  'breath',
  'directions',
  'stations',
  'load',
  'band',
  'gap',
  'rest',
  'side',
  'effort',
  'tuck',
  'warmUpSets',
  'times',
  'days',
  'fromDay',
  'until',
] as const satisfies readonly (keyof Dose)[];
export type DosePart = (typeof DOSE_PARTS)[number];

/** The canonical text of one part; null where it is not written. */
export function formatPart(dose: Dose, part: DosePart): string | null {
  switch (part) {
    case 'head':
      return formatHead(dose.head);
    case 'hold':
      return dose.hold ? `hold ${formatSpan(dose.hold)}` : null;
    case 'tempo':
      if (!dose.tempo) return null;
      return dose.tempo.kind === 'slow' ? 'slow' : `move ${formatSpan(dose.tempo.seconds)}`;
    case 'breath':
      return dose.breath ? `breath ${dose.breath.in}-${dose.breath.hold}-${dose.breath.out}` : null;
    case 'directions':
      return dose.directions ? formatDirections(dose.directions) : null;
    case 'stations':
      return dose.stations ? formatStations(dose.stations) : null;
    case 'load':
      return dose.load ? formatLoad(dose.load) : null;
    case 'band':
      return dose.band ? formatBand(dose.band) : null;
    case 'gap':
      return dose.gap ? `gap ${formatSpan(dose.gap)}` : null;
    case 'rest':
      return dose.rest ? `rest ${formatSpan(dose.rest)}` : null;
    case 'side':
      return dose.side ? (dose.side === 'each' ? 'each side' : dose.side) : null;
    case 'effort':
      return dose.effort ? formatEffort(dose.effort) : null;
    case 'tuck':
      return dose.tuck ? formatTuck(dose.tuck) : null;
    case 'warmUpSets':
      return dose.warmUpSets ? `warm-up ${dose.warmUpSets}` : null;
    case 'times':
      return dose.times ? formatTimes(dose.times) : null;
    case 'days':
      return dose.days ? formatDays(dose.days) : null;
    case 'fromDay':
      return dose.fromDay ? `from day ${dose.fromDay}` : null;
    case 'until':
      return dose.until ? formatUntil(dose.until) : null;
  }
}

/**
 * The one canonical text of a dose; reading it gives the same dose.
 *
 * @example formatDose(parsed('REST 60s 3 × 10 …')) // "3x10 rest 60s"
 */
export function formatDose(dose: Dose): string {
  const known = written.get(dose);
  if (known !== undefined) return known;
  const text = DOSE_PARTS.map((part) => formatPart(dose, part))
    .filter((part) => part !== null)
    .join(' ');
  written.set(dose, text);
  return text;
}

/** A dose is immutable and written out often: once is enough. */
const written = new WeakMap<Dose, string>();

function formatHead(head: Head): string {
  switch (head.kind) {
    case 'bouts': {
      const one = isExact(head.bouts) && head.bouts.least === 1;
      return one ? formatSpan(head.span) : `${formatCount(head.bouts)}x${formatSpan(head.span)}`;
    }
    case 'sets': {
      const one = isExact(head.sets) && head.sets.least === 1;
      if (looksTurnedRound(head))
        return `${formatCount(head.sets)} sets of ${formatCount(head.reps)}`;
      return one
        ? `x${formatCount(head.reps)}`
        : `${formatCount(head.sets)}x${formatCount(head.reps)}`;
    }
    case 'pyramid': {
      const { reps } = head;
      if (reps.some((count) => count !== 'max')) return reps.join('-');
      return reps.length === 1 ? 'xmax' : `${reps.length}xmax`;
    }
  }
}

/** A count or a range of counts: "10", "8-12". */
export function formatCount(range: Range): string {
  return isExact(range) ? String(range.least) : `${range.least}-${range.most}`;
}

/**
 * Seconds, unless both ends are whole minutes and the upper is two minutes or more.
 *
 * @example formatSpan({ least: 60, most: 60 }) // "60s"
 * @example formatSpan({ least: 60, most: 300 }) // "1-5min"
 */
export function formatSpan(range: Range): string {
  const minutes = range.most >= 120 && range.least % 60 === 0 && range.most % 60 === 0;
  const unit = minutes ? 'min' : 's';
  const scale = minutes ? 60 : 1;
  return `${formatCount({ least: range.least / scale, most: range.most / scale })}${unit}`;
}

function formatDirections(directions: NonNullable<Dose['directions']>): string {
  return typeof directions === 'number'
    ? `in ${directions} directions`
    : `in ${directions.join('/')}`;
}

function formatStations(stations: Stations): string {
  switch (stations.kind) {
    case 'angles':
      return `at ${stations.count} angles`;
    case 'barriers':
      return `at ${stations.count} barriers`;
    case 'degrees':
      return `at ${stations.degrees.join('/')}deg`;
  }
}

function formatLoad(load: Load): string {
  const list = load.perSet.join('/');
  if (load.kind === 'percent') return `${list}% ${load.of}`;
  return list.endsWith('adj') ? `${list} ${load.unit}` : `${list}${load.unit}`;
}

function formatBand({ band, stretchPercent }: Band): string {
  const name = band.kind === 'level' ? band.level : `"${band.name}"`;
  return stretchPercent === undefined ? `band ${name}` : `band ${name} stretch ${stretchPercent}%`;
}

function formatTuck({ kind, range }: Tuck): string {
  return `tuck ${formatCount(range)}${kind === 'mm' ? 'mm' : '%'}`;
}

function formatEffort(effort: Effort): string {
  const count = formatCount(effort.range);
  return effort.kind === 'percent' ? `${count}%` : `rpe ${count}`;
}

function formatTimes(times: Times): string {
  switch (times.kind) {
    case 'per day':
      return `${formatCount(times.times)}/day`;
    case 'every':
      return times.minutes % 60 === 0
        ? `every ${times.minutes / 60}h`
        : `every ${times.minutes}min`;
    case 'as needed':
    case 'on waking':
    case 'after waking':
    case 'before training':
    case 'after training':
    case 'before hands-on care':
    case 'after hands-on care':
      return times.kind;
  }
}

function formatDays(days: Days): string {
  switch (days.kind) {
    case 'daily':
      return 'daily';
    case 'every':
      return days.n === 2 ? 'every other day' : `every ${days.n} days`;
    case 'weekdays':
      return days.weekdays.join(' ');
  }
}

function formatUntil(until: Until): string {
  switch (until.kind) {
    case 'day':
      return `until ${until.day} days`;
    case 'date':
      return `until ${until.date}`;
    case 'review':
      return 'until review';
  }
}
