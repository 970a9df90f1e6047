import { type MorningFacts, TRIAGE_DAYS, withEvent } from '@/core/morning';
import type { DayDone } from '@/core/history';
import { type ClinicId, type LocalDate, type PatientId, addDays } from '@/core/units';
import {
  type DayRead,
  ELSE,
  type Patient,
  type RecordChange,
  changesAfter,
  changesTold,
  daysRead,
} from '@/db';
import { group } from 'd3';
import { BATCHES, PERIODS_MS } from '../periods';
import { todayOf } from '../programme-facts';
import type { PatientMorning } from './triage';

/** How the facts of these patients are read from the record as a whole. */
type ReadAnew = (
  clinicId: ClinicId,
  patients: readonly Patient[],
) => Promise<readonly PatientMorning[]>;

/** The facts of a patient as they were when the record's changes had come to a number. */
type Kept = { readonly facts: MorningFacts; readonly upTo: number; readonly usedAt: number };

type Bounds = {
  readonly most?: number;
  /** Milliseconds, of a clock that only goes on. */
  readonly clock?: () => number;
};

/**
 * What the morning list knows of the patients with whom something happens at the moment, kept in memory
 * for a while: a phone that plays a session changes one day of its patient seven times, and the rest of
 * three months need not be read again for each. The database itself tells what was written since
 * (`record_change`); a changed day is read and put in its place by `withEvent`, and with any other change
 * everything of the patient is read anew. Bounded in number, and nobody stays who is not asked about.
 */
export function keptMornings(
  readAnew: ReadAnew,
  { most = BATCHES.morningsKept, clock = () => performance.now() }: Bounds = {},
) {
  // By clinic and patient, since a record may be in two of them; the longest unused stands first.
  const kept = new Map<string, Kept>();
  const active = recently(clock);
  let sweeping: NodeJS.Timeout | null = null;

  function keep(patient: Patient, facts: MorningFacts, upTo: number): void {
    kept.delete(placeOf(patient));
    kept.set(placeOf(patient), { facts, upTo, usedAt: clock() });
    for (const longestUnused of kept.keys()) {
      if (kept.size <= most) break;
      kept.delete(longestUnused);
    }
    sweeping ??= setInterval(sweep, PERIODS_MS.morningKept / 2).unref();
  }

  /** Lets go of whom nobody asked about lately. */
  function sweep(): void {
    const since = clock() - PERIODS_MS.morningKept;
    for (const [place, { usedAt }] of kept) if (usedAt <= since) kept.delete(place);
    if (kept.size > 0 || sweeping === null) return;
    clearInterval(sweeping);
    sweeping = null;
  }

  /** What the list knows of these patients now, in their order. */
  async function factsOf(
    clinicId: ClinicId,
    patients: readonly Patient[],
  ): Promise<PatientMorning[]> {
    if (patients.length === 0) return [];
    // Before anything is read: what is written meanwhile is read again the next time.
    const { forgotten, newest } = await changesTold();
    for (const [place, { upTo }] of kept) {
      // Another database has taken this one's place.
      if (upTo > newest) kept.clear();
      // This process slept while another forgot what it could have been told.
      if (upTo < forgotten) kept.delete(place);
    }
    const since = active(newest);
    const found = new Map<PatientId, MorningFacts>();
    const known = patients.flatMap((patient) => {
      const one = kept.get(placeOf(patient));
      return one && one.facts.record.facts.today === todayOf(patient) ? [{ patient, ...one }] : [];
    });
    const changes = await changesAfter(
      clinicId,
      patients.map(({ id }) => id),
      Math.min(since, ...known.map(({ upTo }) => upTo)),
    );
    const changesBy = group(changes ?? [], ({ patientId }) => patientId);
    if (changes !== null) {
      const changed = known.flatMap(({ patient, facts, upTo }) => {
        const own = (changesBy.get(patient.id) ?? []).filter(({ seq }) => seq > upTo);
        if (own.length === 0) found.set(patient.id, facts);
        const days = daysIn(own);
        return own.length > 0 && days !== null ? [{ patient, facts, days }] : [];
      });
      for (const [id, facts] of await withChangedDays(clinicId, changed)) found.set(id, facts);
    }
    const others = patients.filter(({ id }) => !found.has(id));
    for (const { patient, facts } of await readAnew(clinicId, others)) found.set(patient.id, facts);
    return patients.flatMap((patient) => {
      const facts = found.get(patient.id);
      if (!facts) return [];
      const isActive = (changesBy.get(patient.id) ?? []).some(({ seq }) => seq > since);
      if (isActive || kept.has(placeOf(patient))) keep(patient, facts, newest);
      return [{ patient, facts }];
    });
  }
  return { factsOf, sweep, size: () => kept.size };
}

const placeOf = ({ clinicId, id }: Patient) => `${clinicId} ${id}`;

/**
 * The number after which a change counts as lately: that of the newest change between one and two times
 * as long ago as somebody is kept, or of the first time it was asked.
 */
function recently(clock: () => number): (newest: number) => number {
  let [before, mark, markedAt] = [Infinity, Infinity, clock()];
  return (newest) => {
    if (mark === Infinity || mark > newest) [before, mark] = [newest, newest];
    if (clock() - markedAt > PERIODS_MS.morningKept) {
      [before, mark] = [mark, newest];
      markedAt = clock();
    }
    return before;
  };
}

/** The days that changed; null where anything else did. */
function daysIn(changes: readonly RecordChange[]): readonly LocalDate[] | null {
  const days: LocalDate[] = [];
  for (const { what } of changes) {
    if (what === ELSE) return null;
    days.push(what);
  }
  return days;
}

type Changed = {
  readonly patient: Patient;
  readonly facts: MorningFacts;
  readonly days: readonly LocalDate[];
};

/** The facts with these days read anew; without those patients of whom more has to be read. */
async function withChangedDays(
  clinicId: ClinicId,
  changed: readonly Changed[],
): Promise<Map<PatientId, MorningFacts>> {
  const found = new Map<PatientId, MorningFacts>();
  const dates = changed.flatMap(({ days }) => days).sort();
  const [first, last] = [dates[0], dates.at(-1)];
  if (!first || !last) return found;
  const ids = changed.map(({ patient }) => patient.id);
  const daysBy = group(await daysRead(clinicId, ids, first, last), ({ patientId }) => patientId);
  for (const { patient, facts, days } of changed) {
    const after = withDays(facts, days, daysBy.get(patient.id) ?? []);
    if (after !== null) found.set(patient.id, after);
  }
  return found;
}

/**
 * The facts after these days; null where they do not come to what the record says: a count among them
 * changes what a dose is expected to take, or the newest pain was taken back and the one before is not known.
 */
function withDays(
  facts: MorningFacts,
  dates: readonly LocalDate[],
  rows: readonly DayRead[],
): MorningFacts | null {
  const { done: before, today } = facts.record.facts;
  const from = addDays(today, -TRIAGE_DAYS);
  let after = facts;
  for (const date of dates) {
    const row = rows.find(({ localDate }) => localDate === date);
    if (!row || date < from || hasCounts(before.get(date)) || hasCounts(row.done)) return null;
    if (row.pain === null && after.lastPain?.date === date) return null;
    const { done, report, pain } = row;
    after = withEvent(after, { type: 'day folded', date, done, pain, report });
  }
  return after;
}

const hasCounts = (done: DayDone | undefined) =>
  done?.sessions.some(({ lines }) => lines.some(({ counted = [] }) => counted.length > 0)) ?? false;
