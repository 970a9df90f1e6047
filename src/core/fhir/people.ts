import type {
  Condition,
  ContactPoint,
  Encounter,
  EpisodeOfCare,
  Organization,
  Patient,
  PatientContact,
  Practitioner,
} from 'fhir/r4';
import { VisitWayBody } from '../records';
import type { RecordEpisode, WholeRecord } from '../whole-record';
import { HL7, SYSTEMS, concept, refer, unlessNone } from './words';

/** The clinic that keeps the record. */
export function organization({ clinic }: Pick<WholeRecord, 'clinic'>): Organization {
  return { resourceType: 'Organization', id: clinic.id, name: clinic.name };
}

/** Who wrote in it. */
export function practitioner({ id, name }: WholeRecord['members'][number]): Practitioner {
  return { resourceType: 'Practitioner', id, name: [{ text: name }] };
}

/** Who the patient is and how they are reached. */
export function patientResource({
  clinic,
  patient,
  details,
}: Pick<WholeRecord, 'clinic' | 'patient' | 'details'>): Patient {
  const { sex, clinicNumber, phones, email, emergency, guardian } = details;
  return {
    resourceType: 'Patient',
    id: patient.id,
    ...unlessNone(
      'identifier',
      clinicNumber === '' ? [] : [{ system: SYSTEMS.clinicNumber, value: clinicNumber }],
    ),
    active: patient.archivedAt === null,
    name: [{ text: patient.name }],
    ...unlessNone('telecom', [
      ...phones.map(({ number }): ContactPoint => ({ system: 'phone', value: number })),
      ...(email === '' ? [] : [{ system: 'email', value: email } satisfies ContactPoint]),
    ]),
    ...(sex === null ? {} : { gender: sex }),
    ...(patient.birthDate === null ? {} : { birthDate: patient.birthDate }),
    ...unlessNone('contact', [
      ...contact('emergency contact', emergency),
      ...contact('guardian', guardian),
    ]),
    communication: [
      {
        language: concept(patient.language, { system: HL7.language, code: patient.language }),
        preferred: true,
      },
    ],
    generalPractitioner: [refer('Practitioner', patient.practitionerId)],
    managingOrganization: refer('Organization', clinic.id, clinic.name),
  };
}

function contact(
  as: string,
  { name, phone, what }: WholeRecord['details']['emergency'],
): PatientContact[] {
  if (name === '') return [];
  return [
    {
      relationship: [concept(what === '' ? as : `${as}: ${what}`)],
      name: { text: name },
      ...unlessNone('telecom', phone === '' ? [] : [{ system: 'phone', value: phone } as const]),
    },
  ];
}

/** The complaint, as it was written: nobody here gives it a code. */
export function condition(
  { patient }: Pick<WholeRecord, 'patient'>,
  { id, complaint, area, openedOn, closedOn }: RecordEpisode,
): Condition {
  return {
    resourceType: 'Condition',
    id: `${id}-c`,
    clinicalStatus: concept(closedOn === null ? 'active' : 'inactive', {
      system: HL7.condition,
      // Discharged says nothing of whether it is gone.
      code: closedOn === null ? 'active' : 'inactive',
    }),
    code: concept(complaint),
    ...unlessNone('bodySite', area === null || area === 'another' ? [] : [concept(area)]),
    subject: refer('Patient', patient.id),
    recordedDate: openedOn,
  };
}

/** From the first visit to discharge. */
export function episodeOfCare(
  { clinic, patient }: Pick<WholeRecord, 'clinic' | 'patient'>,
  { id, openedOn, closedOn }: RecordEpisode,
): EpisodeOfCare {
  return {
    resourceType: 'EpisodeOfCare',
    id,
    status: closedOn === null ? 'active' : 'finished',
    diagnosis: [{ condition: refer('Condition', `${id}-c`) }],
    patient: refer('Patient', patient.id),
    managingOrganization: refer('Organization', clinic.id),
    period: { start: openedOn, ...(closedOn === null ? {} : { end: closedOn }) },
  };
}

/** The visits, each with the newest word on how it took place: in the room where nobody said else. */
export function encounters({
  patient,
  visits,
  entries,
}: Pick<WholeRecord, 'patient' | 'visits' | 'entries'>): Encounter[] {
  const ways = new Map<string, string>();
  for (const { kind, visitId, body } of entries) {
    if (kind !== 'visit-way' || visitId === null) continue;
    const read = VisitWayBody.safeParse(body);
    if (read.success) ways.set(visitId, read.data.way);
  }
  return visits.map(({ id, episodeId, localDate }) => {
    const way = ways.get(id) ?? 'in the room';
    return {
      resourceType: 'Encounter',
      id,
      status: 'finished',
      class: { system: HL7.act, code: way === 'in the room' ? 'AMB' : 'VR' },
      type: [concept(way)],
      subject: refer('Patient', patient.id),
      episodeOfCare: [refer('EpisodeOfCare', episodeId)],
      period: { start: localDate, end: localDate },
    };
  });
}

/** A reference to the visit something was written at; nothing where it was written away from one. */
export function atVisit(visitId: string | null) {
  return visitId === null ? {} : { encounter: refer('Encounter', visitId) };
}

/** A member by their name; nobody where it was the patient. */
export function author(record: Pick<WholeRecord, 'members' | 'patient'>, authorId: string) {
  if (authorId === record.patient.id) return refer('Patient', authorId);
  const name = record.members.find(({ id }) => id === authorId)?.name;
  return refer('Practitioner', authorId, name);
}
