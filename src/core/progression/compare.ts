import { applySchool, SCHOOLS, schoolsFor, type SchoolSettings } from '../school';
import { type Dose, formatDose } from '../dose';
import type { Exercise, SchoolId } from '../exercise';
import { type WakingHours, isDueOn, timesPerDay } from '../schedule';
import { sessionSeconds, sessionTimeline, workOf } from '../timeline';
import { type LocalDate, type Range, type Seconds, addDays, localDate, seconds } from '../units';

/** What a dose asks of a day and a week. */
export type DoseMeasure = {
  /** Contractions (holds, or repetitions where nothing is held) a day it is due. */
  readonly contractions: Range;
  readonly heldSecondsADay: Range<Seconds>;
  readonly secondsADay: Range<Seconds>;
  /** Repetitions in a week, over the days it is due. */
  readonly repsAWeek: Range;
  readonly daysAWeek: number;
};

/** Four weeks hold every beat of a day rule that a week would cut. */
const BEAT_DAYS = 28;

/** Days of a week on which a line is due, on average over four weeks. */
export function daysAWeek(dose: Dose): number {
  return (beat(dose).filter(Boolean).length * 7) / BEAT_DAYS;
}

/**
 * Whether a line is due on two days in a row: also on weekdays only, which are five days a week.
 *
 * @example hasDaysInARow(parse('x10 mon tue')) // true
 * @example hasDaysInARow(parse('x10 mon wed fri')) // false
 */
export function hasDaysInARow(dose: Dose): boolean {
  const due = beat(dose);
  // The four weeks come round, so that a Sunday is followed by a Monday.
  return due.some((isDue, day) => isDue && due[(day + 1) % BEAT_DAYS]);
}

/** On which of four weeks' days a line is due, whenever it begins or ends. */
function beat(dose: Dose): boolean[] {
  const anchor = localDate('2026-01-05');
  const bare: Dose = { ...dose };
  delete (bare as { fromDay?: number }).fromDay;
  delete (bare as { until?: unknown }).until;
  const days = Array.from({ length: BEAT_DAYS }, (_, ahead): LocalDate => addDays(anchor, ahead));
  return days.map((date) => isDueOn({ lineage: '', anchor, dose: bare }, date));
}

/** Reckons a dose by the same timeline the player plays. */
export function measureDose(dose: Dose, exercise: Exercise, waking: WakingHours): DoseMeasure {
  const { mode, position } = exercise;
  const timeline = sessionTimeline([{ dose, mode, position }]);
  const work = workOf(timeline);
  const time = sessionSeconds(timeline);
  const times = timesPerDay(dose.times, waking);
  const most = Math.max(1, dose.times?.kind === 'as needed' ? 1 : times.most);
  const least = Math.max(times.least, dose.times?.kind === 'as needed' ? 0 : 1);
  const days = daysAWeek(dose);
  const count = ({ holds, reps }: { holds: number; reps: number }) => (holds > 0 ? holds : reps);
  return {
    contractions: { least: count(work.least) * least, most: count(work.most) * most },
    heldSecondsADay: {
      least: seconds(work.least.heldSeconds * least),
      most: seconds(work.most.heldSeconds * most),
    },
    secondsADay: { least: seconds(time.least * least), most: seconds(time.most * most) },
    repsAWeek: { least: work.least.reps * least * days, most: work.most.reps * most * days },
    daysAWeek: days,
  };
}

export type Comparison = {
  readonly id: SchoolId;
  readonly name: string;
  readonly says: string;
  readonly source: string;
  readonly dose: Dose;
  readonly line: string;
  readonly measure: DoseMeasure;
};

/** The same exercise under every school that fits it, side by side. */
export function compareSchools(
  dose: Dose,
  exercise: Exercise,
  waking: WakingHours,
  settings: SchoolSettings,
): Comparison[] {
  return schoolsFor(exercise).map((id) => {
    const applied = applySchool(dose, exercise, { id, settings });
    const { name, says, source } = SCHOOLS[id];
    return {
      id,
      name,
      says,
      source,
      dose: applied.dose,
      line: formatDose(applied.dose),
      measure: measureDose(applied.dose, exercise, waking),
    };
  });
}
