import {
  type DetailsDraft,
  NO_DETAILS,
  type PatientDetails,
  type PatientFound,
} from '@/core/records';
import { searchTextOf, searchWords } from '@/core/identity';
import {
  type Patient,
  type Statement,
  LIST_BOUNDS,
  detailsOf,
  detailsOfMany,
  detailsUnchanged,
  dropTriageRows,
  comesForOf,
  episodesOf,
  guard,
  noOpenAlert,
  patientsHolding,
  patientsWithoutSearch,
  putDetails,
  revokeCalendarLinks,
  revokeLinksOf,
  setArchived,
  setPatientLanguage,
  setSearch,
  write,
} from '@/db';
import type { SignedIn } from './access';
import { practitionersSeen } from './files';
import { isOffered } from './languages';
import { patientFor } from './people';
import { Problem } from './problem';
import { writeAs } from './visit/write-as';

/** How a patient is reached, and when that was written; nothing where nobody has. */
export async function detailsFor(
  patient: Patient,
): Promise<{ readonly details: PatientDetails; readonly basedOn: number }> {
  const row = await detailsOf(patient.clinicId, patient.id);
  return { details: row?.body ?? NO_DETAILS, basedOn: row?.updatedAt ?? 0 };
}

/**
 * Sets the language of a patient's screens before they have opened any; on the phone they choose it anew.
 *
 * @throws Problem 400 for a language that is not offered
 */
export async function saveLanguage(
  member: SignedIn,
  { patientId, language }: { readonly patientId: string; readonly language: string },
): Promise<void> {
  const patient = await patientFor(member, patientId);
  if (!isOffered(language))
    throw new Problem(400, 'There are no texts in this language.', ['language']);
  if (patient.language === language) return;
  await writeAs(member, 'assistant', {
    verb: 'set the language of',
    subject: { kind: 'patient', id: patient.id },
    statements: () => [setPatientLanguage(patient.clinicId, patient.id, language)],
  });
}

/** Everything a patient is found by, as it stands with these details. */
export async function findable(
  patient: Patient,
  details: PatientDetails,
  complaints?: readonly string[],
): Promise<string> {
  const told =
    complaints ??
    (await episodesOf(patient.clinicId, patient.id)).map(({ complaint }) => complaint);
  return searchTextOf(patient, details, told);
}

/** Writes how a patient is reached. */
export async function saveDetails(member: SignedIn, draft: DetailsDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const { clinicId } = member;
  const { details, basedOn } = draft;
  const search = await findable(patient, details);
  await writeAs(member, 'assistant', {
    verb: 'wrote how to reach',
    subject: { kind: 'patient', id: patient.id },
    statements: (at): Statement[] => [
      guard('newest', detailsUnchanged(clinicId, patient.id, basedOn)),
      putDetails({
        clinicId,
        patientId: patient.id,
        body: details,
        updatedAt: at,
        authorId: member.id,
      }),
      setSearch(clinicId, patient.id, search),
    ],
  });
}

/**
 * Puts a patient into the archive, off every list, or fetches them back. The archive ends their links, so
 * that nothing they tell is heard by nobody.
 */
export async function archivePatient(
  member: SignedIn,
  { patientId, archived }: { readonly patientId: string; readonly archived: boolean },
): Promise<void> {
  const patient = await patientFor(member, patientId);
  if ((patient.archivedAt !== null) === archived) return;
  const { clinicId } = member;
  await writeAs(member, 'practitioner', {
    verb: archived ? 'archived' : 'fetched back',
    subject: { kind: 'patient', id: patient.id },
    statements: (at) => [
      ...(archived
        ? [
            guard('alert', noOpenAlert(clinicId, patient.id)),
            revokeLinksOf(clinicId, patient.id, at),
            revokeCalendarLinks(clinicId, patient.id, at),
          ]
        : []),
      setArchived(clinicId, patient.id, archived ? at : null),
      // It is not made anew while the patient is archived.
      dropTriageRows(clinicId, [patient.id]),
    ],
  });
}

/** The first patients that what was typed finds: by name, number, telephone or complaint. */
export async function findPatients(
  member: SignedIn,
  typed: string,
): Promise<readonly PatientFound[]> {
  const { clinicId } = member;
  const seen = await practitionersSeen(member);
  const patients = await patientsHolding(clinicId, searchWords(typed), seen, 'all');
  const ids = patients.map(({ id }) => id);
  const [episodes, details] = await Promise.all([
    comesForOf(clinicId, ids),
    detailsOfMany(clinicId, ids),
  ]);
  return patients.map(({ id, name, archivedAt }) => ({
    id,
    name,
    complaint: episodes.get(id)?.complaint ?? '',
    clinicNumber: details.get(id)?.clinicNumber ?? '',
    archived: archivedAt !== null,
  }));
}

/** Makes what patients of before there was a search are found by. */
export async function makeSearchTexts(): Promise<void> {
  for (;;) {
    const patients = await patientsWithoutSearch(LIST_BOUNDS.searchMade);
    if (patients.length === 0) return;
    const made: Statement[] = [];
    for (const patient of patients) {
      const { details } = await detailsFor(patient);
      // A name of signs alone is found by nothing; it is not made again and again.
      const search = (await findable(patient, details)) || '-';
      made.push(setSearch(patient.clinicId, patient.id, search));
    }
    // Derived from the record alone, so it needs no audit.
    await write(() => made);
  }
}
