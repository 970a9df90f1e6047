import { type Range, isExact } from '../units';
import type { Band, Days, Dose, Effort, Head, Load, Stations, Times, Until } from './model';

/**
 * The one canonical text of a dose; reading it gives the same dose.
 *
 * @example formatDose(parsed('REST 60s 3 × 10 …')) // "3x10 rest 60s"
 */
export function formatDose(dose: Dose): string {
  const parts: (string | null)[] = [
    formatHead(dose.head),
    dose.hold ? `hold ${formatSpan(dose.hold)}` : null,
    dose.tempo
      ? dose.tempo.kind === 'slow'
        ? 'slow'
        : `move ${formatSpan(dose.tempo.seconds)}`
      : null,
    dose.breath ? `breath ${dose.breath.in}-${dose.breath.hold}-${dose.breath.out}` : null,
    dose.directions ? `in ${dose.directions} directions` : null,
    dose.stations ? formatStations(dose.stations) : null,
    dose.load ? formatLoad(dose.load) : null,
    dose.band ? formatBand(dose.band) : null,
    dose.gap ? `gap ${formatSpan(dose.gap)}` : null,
    dose.rest ? `rest ${formatSpan(dose.rest)}` : null,
    dose.side ? (dose.side === 'each' ? 'each side' : dose.side) : null,
    dose.effort ? formatEffort(dose.effort) : null,
    dose.tuck ? `tuck ${formatCount(dose.tuck)}%` : null,
    dose.warmUpSets ? `warm-up ${dose.warmUpSets}` : null,
    dose.times ? formatTimes(dose.times) : null,
    dose.days ? formatDays(dose.days) : null,
    dose.fromDay ? `from day ${dose.fromDay}` : null,
    dose.until ? formatUntil(dose.until) : null,
  ];
  return parts.filter((part) => part !== null).join(' ');
}

function formatHead(head: Head): string {
  switch (head.kind) {
    case 'bouts': {
      const one = isExact(head.bouts) && head.bouts.least === 1;
      return one ? formatSpan(head.span) : `${formatCount(head.bouts)}x${formatSpan(head.span)}`;
    }
    case 'sets': {
      const one = isExact(head.sets) && head.sets.least === 1;
      return one
        ? `x${formatCount(head.reps)}`
        : `${formatCount(head.sets)}x${formatCount(head.reps)}`;
    }
    case 'pyramid':
      return head.reps.join('-');
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
    case 'before training':
    case 'after training':
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
