import { type LocalDate, type Range, type Seconds, isExact } from '../units';
import { directionNames, directionsOf } from './directions';
import {
  type Dose,
  type Effort,
  type Head,
  type Load,
  NO_WAYS,
  type Times,
  type Until,
  type Ways,
} from './model';

/**
 * One sentence or word group, as a message key and its values; a language's catalogue turns it
 * into words. Values may be phrases themselves.
 */
export type Phrase = {
  readonly key: string;
  readonly values: Readonly<
    Record<string, string | number | DateValue | Phrase | readonly Phrase[]>
  >;
};

/** A day, said as people of the language say it. */
export type DateValue = { readonly date: LocalDate };

/** What a bout of a written length is: held still, moved through, or lain. */
export const BOUT_MODES = ['held', 'moved', 'lain'] as const;
export type BoutMode = (typeof BOUT_MODES)[number];

function phrase(key: string, values: Phrase['values'] = {}): Phrase {
  return { key, values };
}

/** A count as words: "3" or "3 to 5"; `most` decides the plural. */
function count(range: Range): Phrase {
  return isExact(range)
    ? phrase('count.exact', { n: range.least })
    : phrase('count.range', { least: range.least, most: range.most });
}

/** A length of time as words, in minutes where `formatSpan` would print minutes. */
function span(range: Range<Seconds>): Phrase {
  const minutes = range.most >= 120 && range.least % 60 === 0 && range.most % 60 === 0;
  const scale = minutes ? 60 : 1;
  const scaled = { least: range.least / scale, most: range.most / scale };
  return phrase(minutes ? 'span.minutes' : 'span.seconds', {
    count: count(scaled),
    most: scaled.most,
  });
}

/**
 * A dose in plain words, one phrase per sentence, in the order of the dose line.
 *
 * @param mode what the exercise's bouts are, for heads such as 3x30s
 * @param ways what its sides and directions are, to be said in full
 */
export function readDose(dose: Dose, mode: BoutMode, ways: Ways = NO_WAYS): Phrase[] {
  return [...readHow(dose, mode, ways), ...readWhen(dose)];
}

/** When a dose is done: how often, on which days, from and until when. */
export function readWhen(dose: Dose): Phrase[] {
  const when: (Phrase | null)[] = [
    ...readOften(dose),
    dose.fromDay ? phrase('fromDay', { day: dose.fromDay }) : null,
    dose.until ? readUntil(dose.until) : null,
  ];
  return when.filter((item) => item !== null);
}

/**
 * What several doses share of when they are done, to be said once for all of them; of a single one
 * nothing is shared.
 *
 * @example // two doses "x10 hold 3s daily until review" and "3x30s daily": every day
 */
export function sharedWhen(doses: readonly Dose[]): Phrase[] {
  const [first, ...others] = doses.map(readWhen);
  if (!first || others.length === 0) return [];
  return first.filter((one) => others.every((list) => list.some((two) => isSame(one, two))));
}

/** A dose in plain words without what is said once for all. */
export function readBeside(
  dose: Dose,
  mode: BoutMode,
  ways: Ways,
  shared: readonly Phrase[],
): Phrase[] {
  const own = readWhen(dose).filter((one) => !shared.some((two) => isSame(one, two)));
  return [...readHow(dose, mode, ways), ...own];
}

const isSame = (a: Phrase, b: Phrase) => JSON.stringify(a) === JSON.stringify(b);

/**
 * The same for a day whose sessions stand there by themselves: without when it is done, but with how often
 * it may be done beyond what is due.
 */
export function readToday(dose: Dose, mode: BoutMode, ways: Ways = NO_WAYS): Phrase[] {
  const { times } = dose;
  const mayBeMore = times?.kind === 'per day' && times.times.most > times.times.least;
  return [...readHow(dose, mode, ways), ...(mayBeMore ? [readTimes(times)] : [])];
}

function readHow(dose: Dose, mode: BoutMode, ways: Ways): Phrase[] {
  const together = restsAfterHold(dose);
  const phrases: (Phrase | null)[] = [
    readHead(dose.head, mode),
    together ?? (dose.hold ? phrase('hold', { span: span(dose.hold) }) : null),
    dose.tempo
      ? dose.tempo.kind === 'slow'
        ? phrase('slow')
        : phrase('move', { span: span(dose.tempo.seconds) })
      : null,
    dose.breath ? phrase('breath', { ...dose.breath }) : null,
    readDirections(dose, ways),
    readStations(dose),
    dose.load ? readLoad(dose.load) : null,
    readBand(dose),
    dose.gap && !together ? phrase('gap', { span: span(dose.gap) }) : null,
    dose.rest ? phrase('rest', { span: span(dose.rest) }) : null,
    readSide(dose, ways),
    dose.effort ? readEffort(dose.effort, mode) : null,
    dose.tuck ? readTuck(dose.tuck) : null,
    dose.warmUpSets ? phrase('warmUp', { n: dose.warmUpSets }) : null,
  ];
  return phrases.filter((item) => item !== null);
}

/** Hold and pause in one sentence, as it is said, where nothing of the dose stands between the two. */
function restsAfterHold(dose: Dose): Phrase | null {
  const { hold, gap, tempo, breath, directions, stations, load, band } = dose;
  const between = tempo ?? breath ?? directions ?? stations ?? load ?? band;
  return hold && gap && between === undefined
    ? phrase('hold.gap', { span: span(hold), gap: span(gap) })
    : null;
}

function readHead(head: Head, mode: BoutMode): Phrase {
  switch (head.kind) {
    case 'bouts':
      return phrase(`head.bouts.${mode}`, {
        times: count(head.bouts),
        most: head.bouts.most,
        span: span(head.span),
      });
    case 'sets':
      return head.sets.most === 1
        ? phrase('head.reps', { reps: count(head.reps), most: head.reps.most })
        : phrase('head.sets', {
            sets: count(head.sets),
            reps: count(head.reps),
            most: head.sets.most,
          });
    case 'pyramid':
      if (head.reps.every((reps) => reps === 'max'))
        return phrase('head.max', { n: head.reps.length });
      return phrase('head.pyramid', {
        sets: head.reps.map((reps) =>
          reps === 'max' ? phrase('count.max') : phrase('count.exact', { n: reps }),
        ),
      });
  }
}

function readDirections(dose: Dose, ways: Ways): Phrase | null {
  if (dose.directions === undefined) return null;
  const names = directionNames(dose, ways.directions);
  return names.length === 0
    ? phrase('directions', { n: directionsOf(dose) })
    : phrase('directions.named', { list: names.map((one) => phrase(`direction.${one}`)) });
}

function readSide({ side }: Dose, { sides }: Ways): Phrase | null {
  if (side === undefined) return null;
  return sides !== null && (side === 'left' || side === 'right')
    ? phrase(`side.${side}.how`, { how: sides[side] })
    : phrase(`side.${side}`);
}

function readStations({ stations }: Dose): Phrase | null {
  switch (stations?.kind) {
    case undefined:
      return null;
    case 'angles':
    case 'barriers':
      return phrase(stations.kind, { n: stations.count });
    case 'degrees':
      return phrase('degrees', {
        list: stations.degrees.map((degrees) => phrase('degree', { degrees })),
      });
  }
}

function readLoad(load: Load): Phrase {
  if (load.kind === 'percent') {
    const list = load.perSet.map((percent) => phrase('percent', { percent }));
    return phrase(load.of === '1rm' ? 'load.1rm' : 'load.10rm', { list, sets: list.length });
  }
  const list = load.perSet.map((weight) =>
    weight === 'adj' ? phrase('load.adjusted') : phrase(`load.${load.unit}`, { weight }),
  );
  return phrase('load.weight', { list, sets: list.length });
}

function readBand({ band }: Dose): Phrase | null {
  if (band === undefined) return null;
  const name = band.band.kind === 'level' ? phrase(`band.${band.band.level}`) : band.band.name;
  return band.stretchPercent === undefined
    ? phrase('band', { name })
    : phrase('band.stretched', { name, percent: band.stretchPercent });
}

function readEffort(effort: Effort, mode: BoutMode): Phrase {
  const key = effort.kind === 'percent' ? 'effort.percent' : `effort.perceived.${mode}`;
  return phrase(key, { count: count(effort.range) });
}

/** Up to this share of the way is "only a little", up to the next "about half way"; our words. */
const LITTLE_PERCENT = 35;
const HALF_PERCENT = 60;

function readTuck({ kind, range }: NonNullable<Dose['tuck']>): Phrase {
  if (kind === 'mm') return phrase('tuck.mm', { count: count(range) });
  const share =
    range.most <= LITTLE_PERCENT ? 'little' : range.most <= HALF_PERCENT ? 'half' : 'most';
  return phrase('tuck', { count: count(range), share });
}

/** How often and on which days: one sentence where it is so often every day. */
function readOften({ times, days }: Dose): (Phrase | null)[] {
  if (times?.kind === 'per day' && days?.kind === 'daily') {
    const { least, most } = times.times;
    return [phrase(isExact(times.times) ? 'everyDay.exact' : 'everyDay.upTo', { least, most })];
  }
  // Where nothing is written of how often, it is once.
  if (times === undefined && days?.kind === 'daily') return [phrase('everyDay.once')];
  return [times ? readTimes(times) : null, readDays(days)];
}

function readTimes(times: Times): Phrase {
  switch (times.kind) {
    case 'per day':
      return phrase(isExact(times.times) ? 'times.exact' : 'times.upTo', {
        least: times.times.least,
        most: times.times.most,
      });
    case 'every':
      return times.minutes % 60 === 0
        ? phrase('times.everyHours', { hours: times.minutes / 60 })
        : phrase('times.everyMinutes', { minutes: times.minutes });
    case 'as needed':
      return phrase('times.asNeeded');
    case 'on waking':
      return phrase('times.onWaking');
    case 'after waking':
      return phrase('times.afterWaking');
    case 'before hands-on care':
      return phrase('times.beforeCare');
    case 'after hands-on care':
      return phrase('times.afterCare');
    case 'before training':
      return phrase('times.beforeTraining');
    case 'after training':
      return phrase('times.afterTraining');
  }
}

function readDays(days: Dose['days']): Phrase | null {
  switch (days?.kind) {
    case undefined:
      return null;
    case 'daily':
      return phrase('days.daily');
    case 'every':
      return days.n === 2 ? phrase('days.everyOther') : phrase('days.every', { n: days.n });
    case 'weekdays':
      return phrase('days.weekdays', {
        list: days.weekdays.map((day) => phrase(`weekday.${day}`)),
      });
  }
}

function readUntil(until: Until): Phrase {
  switch (until.kind) {
    case 'day':
      return phrase('until.day', { day: until.day });
    case 'date':
      return phrase('until.date', { date: { date: until.date } });
    case 'review':
      return phrase('until.review');
  }
}
