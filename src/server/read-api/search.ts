import type { FhirResource } from 'fhir/r4';
import {
  type Readable,
  carePlanWithLines,
  measuredObservation,
  patientResource,
  planId,
  procedures,
  toldObservation,
} from '@/core/fhir';
import { DAY_KEY } from '@/core/history';
import { searchWords } from '@/core/identity';
import { NO_DETAILS, recordId } from '@/core/records';
import { type ClinicId, textOrder } from '@/core/units';
import {
  type PageEnd,
  type Patient,
  clinicById,
  detailsOfMany,
  eventsOfSessions,
  measurementsPage,
  membersOf,
  patientById,
  patientOfProgramme,
  patientsPage,
  recordRows,
  sessionsPage,
  superseded,
  toldPage,
} from '@/db';
import { doseInWords } from '../dose-in-words';
import { NOT_FOUND, Problem } from '../problem';
import { type Asked, endText, readEnd } from './asked';

/** A page of what was found, and where it ended; null where there is nothing after it. */
export type Found = { readonly resources: readonly FhirResource[]; readonly end: string | null };

/** Finds resources of one kind within a clinic. */
export function search(clinicId: ClinicId, type: Readable, asked: Asked): Promise<Found> {
  switch (type) {
    case 'Patient':
      return patients(clinicId, asked);
    case 'CarePlan':
      return carePlans(clinicId, asked);
    case 'Observation':
      return observations(clinicId, asked);
    case 'Procedure':
      return sessions(clinicId, asked);
  }
}

async function clinicFor(clinicId: ClinicId) {
  const clinic = await clinicById(clinicId);
  if (!clinic) throw new Problem(404, NOT_FOUND);
  return clinic;
}

async function asResources(clinicId: ClinicId, rows: readonly Patient[]) {
  const [clinic, details] = await Promise.all([
    clinicFor(clinicId),
    detailsOfMany(
      clinicId,
      rows.map(({ id }) => id),
    ),
  ]);
  return rows.map((patient) =>
    patientResource({ clinic, patient, details: details.get(patient.id) ?? NO_DETAILS }),
  );
}

async function patients(clinicId: ClinicId, asked: Asked): Promise<Found> {
  const { id, words, birthDate, after, count } = asked;
  if (id !== null) {
    const one = await patientById(clinicId, id);
    return { resources: await asResources(clinicId, one ? [one] : []), end: null };
  }
  const rows = await patientsPage(clinicId, {
    words: searchWords(words),
    birthDate,
    after: after === null ? null : uuid(after),
    limit: count + 1,
  });
  const page = rows.slice(0, count);
  return {
    resources: await asResources(clinicId, page),
    end: rows.length > count ? (page.at(-1)?.id ?? null) : null,
  };
}

function uuid(text: string): string {
  const read = recordId.safeParse(text);
  if (!read.success) throw new Problem(400, '“_after” cannot be read.');
  return read.data;
}

/** The patient a search is about: it is not answered for everybody at once. */
async function patientAsked(clinicId: ClinicId, { patient }: Asked): Promise<Patient> {
  if (patient === null) throw new Problem(400, 'Say which patient: patient=…');
  const found = await patientById(clinicId, patient);
  if (!found) throw new Problem(404, NOT_FOUND);
  return found;
}

async function writtenIn(clinicId: ClinicId, patient: Patient) {
  const members = await membersOf(clinicId);
  return { patient, members: members.map(({ id, name }) => ({ id, name })) };
}

async function plansOf(clinicId: ClinicId, patient: Patient) {
  const [rows, written] = await Promise.all([
    recordRows(clinicId, patient.id, ['episode', 'programmeVersion', 'programmeLine']),
    writtenIn(clinicId, patient),
  ]);
  return {
    ...written,
    episodes: rows.episode,
    versions: rows.programmeVersion,
    lines: rows.programmeLine,
  };
}

async function carePlans(clinicId: ClinicId, asked: Asked): Promise<Found> {
  const patient = await patientAsked(clinicId, asked);
  const record = await plansOf(clinicId, patient);
  const { from, to } = asked.days;
  const plans = record.versions
    .map((version) => carePlanWithLines(record, version, doseInWords))
    // A plan lasts from its first day to its last; days that touch it ask for it.
    .filter(
      ({ period }) =>
        (to === null || (period?.start ?? '') <= to) &&
        (from === null || period?.end === undefined || period.end >= from),
    );
  const begun = asked.after === null ? 0 : plans.findIndex(({ id }) => id === asked.after) + 1;
  if (asked.after !== null && begun === 0) throw new Problem(400, '“_after” cannot be read.');
  const page = plans.slice(begun, begun + asked.count);
  return {
    resources: page,
    end: begun + asked.count < plans.length ? (page.at(-1)?.id ?? null) : null,
  };
}

/** The first of two lists of which each is in order, and where the page of them ended. */
function firstOf<T extends { readonly end: PageEnd }>(items: readonly T[], count: number) {
  const all = [...items].sort((a, b) => textOrder(endText(a.end), endText(b.end)));
  const page = all.slice(0, count);
  const last = page.at(-1);
  return { page, end: all.length > count && last ? endText(last.end) : null };
}

async function observations(clinicId: ClinicId, asked: Asked): Promise<Found> {
  const patient = await patientAsked(clinicId, asked);
  const page = {
    clinicId,
    patientId: patient.id,
    days: asked.days,
    after: readEnd(asked.after),
    limit: asked.count + 1,
  };
  const [measured, told, written] = await Promise.all([
    measurementsPage(page),
    toldPage(page),
    writtenIn(clinicId, patient),
  ]);
  const gone = await superseded(
    clinicId,
    measured.map(({ id }) => id),
  );
  const { page: items, end } = firstOf(
    [
      ...measured.map((row) => ({
        end: { on: row.localDate, id: row.id },
        resource: measuredObservation(written, row, gone.has(row.id)),
      })),
      ...told.map((row) => ({
        end: { on: row.localDate, id: row.id },
        resource: toldObservation(written, row),
      })),
    ],
    asked.count,
  );
  return {
    resources: items.map(({ resource }) => resource).filter((resource) => resource !== null),
    end,
  };
}

async function sessions(clinicId: ClinicId, asked: Asked): Promise<Found> {
  const patient = await patientAsked(clinicId, asked);
  const all = await sessionsPage(
    {
      clinicId,
      patientId: patient.id,
      days: asked.days,
      after: readEnd(asked.after),
      limit: asked.count + 1,
    },
    DAY_KEY,
  );
  const page = all.slice(0, asked.count);
  const last = page.at(-1);
  return {
    resources: await sessionsOf(
      clinicId,
      patient,
      page.map(({ id }) => id),
    ),
    end: all.length > asked.count && last ? endText(last) : null,
  };
}

async function sessionsOf(clinicId: ClinicId, patient: Patient, ids: readonly string[]) {
  if (ids.length === 0) return [];
  const [events, { programmeLine }] = await Promise.all([
    eventsOfSessions(clinicId, patient.id, ids),
    recordRows(clinicId, patient.id, ['programmeLine']),
  ]);
  const found = new Map(
    procedures({ patient, events, lines: programmeLine }).map((one) => [one.id ?? '', one]),
  );
  return ids.map((id) => found.get(id)).filter((one) => one !== undefined);
}

/**
 * One patient or one care plan by its id; everything else is searched for by whose it is.
 *
 * @throws Problem 404
 */
export async function readResource(
  clinicId: ClinicId,
  type: Readable,
  id: string,
): Promise<FhirResource> {
  switch (type) {
    case 'Patient': {
      const patient = await patientById(clinicId, id);
      const [resource] = patient ? await asResources(clinicId, [patient]) : [];
      if (!resource) throw new Problem(404, NOT_FOUND);
      return resource;
    }
    case 'CarePlan': {
      const owner = await patientOfProgramme(clinicId, id.replace(/-v\d+$/, ''));
      const patient = owner === null ? null : await patientById(clinicId, owner);
      const record = patient && (await plansOf(clinicId, patient));
      const version = record?.versions.find((each) => planId(each) === id);
      if (!record || !version) throw new Problem(404, NOT_FOUND);
      return carePlanWithLines(record, version, doseInWords);
    }
    case 'Observation':
    case 'Procedure':
      throw new Problem(404, `Search for ${type} by patient: it is not read by itself.`);
  }
}
