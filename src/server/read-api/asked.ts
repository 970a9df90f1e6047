import { z } from 'zod';
import { READABLE, type Readable } from '@/core/fhir';
import { dateText, recordId } from '@/core/records';
import { type LocalDate, addDays } from '@/core/units';
import type { DayRange, PageEnd } from '@/db';
import { Problem } from '../problem';

/** Resources a page holds, and how many may be asked for. */
const PAGE = { usual: 50, most: 200 } as const;
const BY_POST: readonly string[] = ['name', 'identifier', 'birthdate'];
const OWN = ['_count', '_after', '_format', '_summary'];

/** What was asked for, understood. */
export type Asked = {
  readonly count: number;
  /** Where the page before ended, as that page said it. */
  readonly after: string | null;
  readonly id: string | null;
  readonly words: string;
  readonly birthDate: LocalDate | null;
  readonly patient: string | null;
  readonly days: DayRange;
};

/**
 * Reads the parameters of a search. One that is not known is refused instead of left out: an answer
 * that was not narrowed as it was asked would be taken for another.
 *
 * @param isPosted whether they came in a body: names, numbers and birth dates stand in no address
 * @throws Problem 400
 */
export function readAsked(type: Readable, given: URLSearchParams, isPosted: boolean): Asked {
  for (const name of given.keys()) {
    const known = [...READABLE[type], ...OWN, ...(type === 'Patient' ? [] : ['subject'])];
    if (!known.includes(name))
      throw new Problem(400, `${type} cannot be searched by “${name.slice(0, 40)}”.`);
    if (BY_POST.includes(name) && !isPosted)
      throw new Problem(
        400,
        `Ask for a ${name} by POST to ${type}/_search: it stands in no address.`,
      );
  }
  const patient = given.get('patient') ?? given.get('subject');
  const count = Number(given.get('_count') ?? PAGE.usual);
  if (!Number.isInteger(count) || count < 1)
    throw new Problem(400, '_count is a whole number of at least 1.');
  const birthDate = given.get('birthdate');
  const id = given.get('_id');
  return {
    count: Math.min(count, PAGE.most),
    after: given.get('_after'),
    id: id === null ? null : checked(recordId, id, '_id'),
    words: given.get('name') ?? withoutSystem(given.get('identifier') ?? ''),
    birthDate: birthDate === null ? null : checked<LocalDate>(dateText, birthDate, 'birthdate'),
    patient:
      patient === null ? null : checked(recordId, patient.replace(/^Patient\//, ''), 'patient'),
    days: daysOf(given.getAll('date')),
  };
}

/** An identifier as FHIR writes it, without its system: "urn:x|17" is 17. */
const withoutSystem = (identifier: string) => identifier.split('|').at(-1) ?? '';

function checked<T>(schema: z.ZodType<T>, text: string, name: string): T {
  const read = schema.safeParse(text);
  if (!read.success) throw new Problem(400, `“${name}” cannot be read.`);
  return read.data;
}

/** Dates with FHIR's prefixes: eq, ge, gt, le, lt; several narrow further. */
function daysOf(dates: readonly string[]): DayRange {
  let from: LocalDate | null = null;
  let to: LocalDate | null = null;
  for (const text of dates) {
    const [, prefix = '', date = ''] = /^(eq|ge|gt|le|lt)?(.*)$/.exec(text) ?? [];
    const day = checked<LocalDate>(dateText, date, 'date');
    const least = prefix === 'gt' ? addDays(day, 1) : day;
    const most = prefix === 'lt' ? addDays(day, -1) : day;
    if (['', 'eq', 'ge', 'gt'].includes(prefix) && (from === null || least > from)) from = least;
    if (['', 'eq', 'le', 'lt'].includes(prefix) && (to === null || most < to)) to = most;
  }
  return { from, to };
}

/** Where a page ended, as the next one is asked for. */
export function endText({ on, id }: PageEnd): string {
  return `${on}~${id}`;
}

/** @throws Problem 400 where it is not what a page said */
export function readEnd(text: string | null): PageEnd | null {
  if (text === null) return null;
  const [on = '', id = ''] = text.split('~');
  return {
    on: checked<LocalDate>(dateText, on, '_after'),
    id: checked(recordId, id, '_after'),
  };
}
