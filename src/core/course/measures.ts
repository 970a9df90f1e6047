import { type Dose, heldSeconds, holdOf, repsOf, stationsOf, barriersOf } from '../dose';
import { KILOGRAMS_A_POUND } from '../load';
import { type Range, exactly } from '../units';

/** What a dose asks, measure by measure; a step changes one of them. */
export const MEASURES = [
  'hold',
  'volume',
  'work',
  'stations',
  'load',
  'band',
  'effort',
  'times',
  'days',
] as const;
export type MeasureName = (typeof MEASURES)[number];

/** A value on a scale; two of different scales cannot be compared. */
type Valued = { readonly scale: string; readonly value: Range };

/** Waking minutes that "every two hours" is reckoned with. Ours. */
const WAKING_MINUTES = 960;
const LEVELS = { light: 1, medium: 2, firm: 3 } as const;

const on = (scale: string, value: Range): Valued => ({ scale, value });

/** What a dose asks in one measure; null where it says nothing of it. */
function valueOf(dose: Dose, measure: MeasureName): Valued | null {
  switch (measure) {
    case 'hold': {
      const hold = holdOf(dose);
      return hold && on('s', hold);
    }
    case 'volume':
      // Ten holds and ten movements are not the same ten.
      return on(holdOf(dose) ? 'holds' : 'repetitions', repsOf(dose));
    case 'work': {
      const held = heldSeconds(dose);
      return held && on('s', held);
    }
    case 'stations':
      return on('stations', exactly(stationsOf(dose) * barriersOf(dose)));
    case 'load':
      return loadOf(dose);
    case 'band':
      return bandOf(dose);
    case 'effort':
      return dose.effort ? on(dose.effort.kind, dose.effort.range) : null;
    case 'times':
      return on('a day', timesOf(dose));
    case 'days':
      return on('a week', exactly(daysOf(dose)));
  }
}

function loadOf({ load }: Dose): Valued | null {
  if (!load) return null;
  const numbers = load.perSet.flatMap((one) => (one === 'adj' ? [] : [one]));
  if (numbers.length === 0) return null;
  const most = Math.max(...numbers);
  if (load.kind === 'percent') return on(load.of, exactly(most));
  return on('kg', exactly(load.unit === 'kg' ? most : most * KILOGRAMS_A_POUND));
}

function bandOf({ band }: Dose): Valued | null {
  if (!band) return null;
  return band.band.kind === 'level'
    ? on('level', exactly(LEVELS[band.band.level] + (band.stretchPercent ?? 0) / 1000))
    : on(`band ${band.band.name}`, exactly(band.stretchPercent ?? 0));
}

/** Times a day, least and most; "as needed" is none that is due. */
export function timesOf({ times }: Dose): Range {
  switch (times?.kind) {
    case 'per day':
      return times.times;
    case 'every':
      return exactly(WAKING_MINUTES / times.minutes);
    case 'as needed':
      return { least: 0, most: 1 };
    default:
      return exactly(1);
  }
}

/** Days of a week, on average. @example daysOf(parse('x10 every other day')) // 3.5 */
export function daysOf({ days }: Dose): number {
  switch (days?.kind) {
    case 'every':
      return 7 / days.n;
    case 'weekdays':
      return days.weekdays.length;
    default:
      return 7;
  }
}

/** A dose is immutable and asked about often: what it asks is reckoned once. */
const reckoned = new WeakMap<Dose, ReadonlyMap<MeasureName, Valued>>();

function valuesOf(dose: Dose): ReadonlyMap<MeasureName, Valued> {
  const known = reckoned.get(dose);
  if (known) return known;
  const values = new Map<MeasureName, Valued>();
  for (const measure of MEASURES) {
    const value = valueOf(dose, measure);
    if (value) values.set(measure, value);
  }
  reckoned.set(dose, values);
  return values;
}

const less = (x: number, y: number) => (Math.abs(x - y) < 1e-6 ? 0 : Math.sign(x - y));

/** How two doses compare in one measure, most and least; null where they cannot be. */
export function compared(
  a: Dose,
  b: Dose,
  measure: MeasureName,
): { readonly least: number; readonly most: number } | null {
  const [one, other] = [valuesOf(a).get(measure), valuesOf(b).get(measure)];
  if (!one || !other || one.scale !== other.scale) return null;
  return {
    least: less(one.value.least, other.value.least),
    most: less(one.value.most, other.value.most),
  };
}

/** The measures in which `a` asks more than `b`, at either end. */
export function moreIn(a: Dose, b: Dose): MeasureName[] {
  return MEASURES.filter((measure) => {
    const found = compared(a, b, measure);
    return found !== null && (found.least > 0 || found.most > 0);
  });
}

/** True where `a` asks less than `b` in some measure and more in none. */
export function asksLess(a: Dose, b: Dose): boolean {
  return moreIn(a, b).length === 0 && moreIn(b, a).length > 0;
}

/** True where `a` asks no less than `b` does at either end, in every measure both speak of. */
export function asksAtLeast(a: Dose, b: Dose): boolean {
  return MEASURES.every((measure) => {
    const found = compared(a, b, measure);
    return found === null || (found.most >= 0 && found.least >= 0);
  });
}

/** True where `a` asks at its most no more than `b` does at its most. @example isWithin(parse('x4'), parse('x3-5')) */
export function isWithin(a: Dose, b: Dose): boolean {
  return MEASURES.every((measure) => (compared(a, b, measure)?.most ?? 0) <= 0);
}

/** True where two doses ask the same of a session and of a week; when they end does not matter. */
export function asksTheSame(a: Dose, b: Dose): boolean {
  return moreIn(a, b).length === 0 && moreIn(b, a).length === 0;
}
