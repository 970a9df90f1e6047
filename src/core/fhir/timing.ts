import type { Timing, TimingRepeat } from 'fhir/r4';
import type { Days, Dose, Times } from '../dose';
import { type LocalDate, type Weekday, addDays } from '../units';
import { concept } from './words';

/** FHIR's own words for the days of the week (R4, days-of-week). */
const DAYS = {
  mon: 'mon',
  tue: 'tue',
  wed: 'wed',
  thu: 'thu',
  fri: 'fri',
  sat: 'sat',
  sun: 'sun',
} as const satisfies Record<Weekday, string>;

/**
 * When a dose is due, as data where FHIR can say it, and always as the dose line in words. Doses tied to
 * training or hands-on care have no code in the standard: they are once a day there, and the line tells.
 *
 * @param anchor day 1 of the line
 * @param review the day until which a line "until review" runs; null where none is set
 * @example timingOf(dose('10x10s 3/day'), ...).repeat // { frequency: 3, period: 1, periodUnit: 'd' }
 */
export function timingOf(
  dose: Dose,
  { line, anchor, review }: { line: string; anchor: LocalDate; review: LocalDate | null },
): Timing {
  const end = lastDay(dose, anchor, review);
  return {
    repeat: {
      boundsPeriod: {
        start: addDays(anchor, (dose.fromDay ?? 1) - 1),
        ...(end === null ? {} : { end }),
      },
      ...oftenInDay(dose.times),
      ...onDays(dose.days, dose.times),
    },
    code: concept(line),
  };
}

function lastDay(dose: Dose, anchor: LocalDate, review: LocalDate | null): LocalDate | null {
  switch (dose.until?.kind) {
    case undefined:
      return null;
    case 'day':
      return addDays(anchor, dose.until.day - 1);
    case 'date':
      return dose.until.date;
    case 'review':
      return review;
  }
}

function oftenInDay(times: Times | undefined): TimingRepeat {
  const daily = { period: 1, periodUnit: 'd' } as const;
  switch (times?.kind) {
    case undefined:
      return { frequency: 1, ...daily };
    case 'per day': {
      const { least, most } = times.times;
      return { frequency: least, ...(most > least ? { frequencyMax: most } : {}), ...daily };
    }
    case 'every':
      return { frequency: 1, period: times.minutes, periodUnit: 'min' };
    case 'as needed':
      return {};
    case 'on waking':
      return { frequency: 1, ...daily, when: ['WAKE'] };
    case 'after waking':
    case 'before training':
    case 'after training':
    case 'before hands-on care':
    case 'after hands-on care':
      return { frequency: 1, ...daily };
  }
}

function onDays(days: Days | undefined, times: Times | undefined): TimingRepeat {
  switch (days?.kind) {
    case undefined:
    case 'daily':
      return {};
    case 'weekdays':
      return { dayOfWeek: days.weekdays.map((day) => DAYS[day]) };
    case 'every':
      // Several times on every other day cannot be said as one period: the line in words does.
      return times === undefined || (times.kind === 'per day' && times.times.most === 1)
        ? { frequency: 1, period: days.n, periodUnit: 'd' }
        : {};
  }
}
