import type { Exercise } from '../exercise';
import { type LocalDate, formatRange, formatSeconds } from '../units';
import { readyDose } from './planned';
import type { ReadyProgramme } from './ready';
import { readyTotals, timesInWords } from './totals';

/** One measure of two programmes, side by side. */
export type Compared = { readonly what: string; readonly one: string; readonly other: string };

type ById = (id: string) => Exercise | null;

/** What a programme asks and covers, each in words. */
function measures(programme: ReadyProgramme, byId: ById, from: LocalDate): Record<string, string> {
  const totals = readyTotals(programme, byId, from);
  const exercises = programme.lines.flatMap(({ exerciseId }) => byId(exerciseId) ?? []);
  const loads = programme.lines.filter(({ dose: text }) => {
    const { load, band } = readyDose(text);
    return load !== undefined || band !== undefined;
  });
  const distinct = (values: readonly string[]) => [...new Set(values)].join(', ') || 'none';
  return {
    Exercises: String(exercises.length),
    'How often': totals ? timesInWords(totals) : 'none',
    'Longest session': totals ? formatRange(totals.session) : 'none',
    'The day': totals ? formatRange(totals.day) : 'none',
    'The week': totals ? formatRange(totals.week) : 'none',
    'Held a day': totals ? formatSeconds(totals.heldADay) : 'none',
    'With a load or band': String(loads.length),
    Covers: distinct(exercises.map(({ region }) => region)),
    For: distinct(exercises.map(({ purpose }) => purpose)),
    Positions: distinct(exercises.map(({ position }) => position)),
    Needs: distinct(exercises.flatMap(({ props }) => props.map(({ prop }) => prop))),
    'Not for': programme.notFor,
  };
}

/** Two ready programmes, measure by measure: time, held seconds a day, load, what each covers and needs. */
export function comparedReady(
  one: ReadyProgramme,
  other: ReadyProgramme,
  byId: ById,
  from: LocalDate,
): readonly Compared[] {
  const [a, b] = [measures(one, byId, from), measures(other, byId, from)];
  return Object.keys(a).map((what) => ({ what, one: a[what] ?? '', other: b[what] ?? '' }));
}
