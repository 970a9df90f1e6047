import type { CorrectionDraft } from '@/core/records';
import {
  AlreadyThere,
  GuardRefused,
  type Correction,
  type Patient,
  audit,
  correctionsOf,
  correctionsUnder,
  insertCorrections,
  setIdentity,
  setSearch,
  write,
} from '@/db';
import { type SignedIn, actorOf, stillMay } from './access';
import { now } from './clock';
import { detailsFor, findable } from './details';
import { patientFor } from './people';

/**
 * Puts right who a patient is. What stood there before is kept in the file, so that it goes with it;
 * the audit says that it was done and by whom, without the words. Sending it again changes nothing.
 */
export async function correctPatient(member: SignedIn, draft: CorrectionDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const { clinicId } = member;
  const { id, name, birthDate, contact } = draft;
  const at = now();
  const change = (field: Correction['field'], before: string, after: string): Correction[] =>
    before === after
      ? []
      : [
          {
            clinicId,
            id,
            patientId: patient.id,
            createdAt: at,
            authorId: member.id,
            field,
            before,
            after,
          },
        ];
  const corrections = [
    ...change('name', patient.name, name),
    ...change('birth date', patient.birthDate ?? '', birthDate ?? ''),
    ...change('contact', patient.contact, contact),
  ];
  const wanted = { name, 'birth date': birthDate ?? '', contact };
  const before = await correctionsUnder(clinicId, id);
  if (before.length > 0) {
    // Sent again: what it asks for has to be what was put right under this id.
    if (
      corrections.length === 0 &&
      before.every(
        ({ field, after }) => field in wanted && after === wanted[field as keyof typeof wanted],
      )
    )
      return;
    throw new AlreadyThere();
  }
  if (corrections.length === 0) return;
  const { was } = draft;
  if (
    was.name !== patient.name ||
    was.birthDate !== patient.birthDate ||
    was.contact !== patient.contact
  )
    throw new GuardRefused('newest');
  const { details } = await detailsFor(patient);
  const search = await findable({ ...patient, name, contact }, details);
  await write(() => [
    stillMay(member, 'practitioner'),
    insertCorrections(corrections),
    setIdentity(clinicId, patient.id, { name, birthDate, contact }),
    setSearch(clinicId, patient.id, search),
    audit({
      clinicId,
      at,
      actor: actorOf(member),
      verb: 'put right who is',
      subject: { kind: 'patient', id: patient.id },
    }),
  ]);
}

/** What was put right of a patient, newest first. */
export async function correctionsFor(patient: Patient) {
  const rows = await correctionsOf(patient.clinicId, patient.id);
  return rows.map(({ correction: { id, createdAt, field, before, after }, by }) => ({
    key: `${id} ${field}`,
    at: createdAt,
    by,
    field,
    before,
    after,
  }));
}
