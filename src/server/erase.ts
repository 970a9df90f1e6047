import { DAY_MS } from '@/core/units';
import { getTableName } from 'drizzle-orm';
import type { ErasureDraft, ErasureReason, SafetyDraft } from '@/core/records';
import { later } from '@/core/schedule';
import {
  DatabaseFailure,
  type Erasure,
  GuardRefused,
  type Patient,
  TABLES_OF_PATIENT,
  cutJournal,
  databaseUrl,
  clinicById,
  erasuresAt,
  longUntouched,
  memberById,
  membersOf,
  rowsOfPatient,
  updateClinic,
  write,
} from '@/db';
import { eraseInThread } from '@/server/erase-thread';
import { type SignedIn, actorOf } from './access';
import { countTry, forgetTries } from './attempts';
import { now } from './clock';
import { keepErasures } from './erasures';
import { passwordFits } from './passwords';
import { patientFor } from './people';
import { Problem, logFailure } from './problem';
import { writeAs } from './visit/write-as';

/** What a patient's record holds, in the words of the page that offers to erase it. */
const SHOWN: Readonly<Record<string, readonly [one: string, many: string]>> = {
  programme_version: ['version of the programme', 'versions of the programme'],
  session_event: ['event told by the phone', 'events told by the phone'],
  day_done: ['day with something done', 'days with something done'],
  screening: ['screening', 'screenings'],
  measurement: ['measurement', 'measurements'],
  photo: ['photo', 'photos'],
  finding: ['finding', 'findings'],
  file_entry: [
    'entry of the file (goals, history, consent, settings)',
    'entries of the file (goals, history, consent, settings)',
  ],
  teach_back: ['teaching', 'teachings'],
  visit_note: ['visit note', 'visit notes'],
  outcome_letter: ['letter', 'letters'],
  referral: ['referral', 'referrals'],
  proposal_decision: ['decision about a proposal', 'decisions about proposals'],
  patient_device: ['device signed in', 'devices signed in'],
};

/** What would go with a patient's record: how many of what. */
export async function heldOf(patient: Patient): Promise<{ what: string; count: number }[]> {
  const tables = TABLES_OF_PATIENT.filter((table) => getTableName(table) in SHOWN);
  const counts = await rowsOfPatient(patient.clinicId, patient.id, tables);
  return tables
    .map((table, index) => {
      const count = counts[index] ?? 0;
      return { what: SHOWN[getTableName(table)]?.[count === 1 ? 0 : 1] ?? '', count };
    })
    .filter(({ count }) => count > 0);
}

/**
 * Erases a patient's record (`eraseJob`), then brings the list up to date that keeps restored backups
 * erased.
 *
 * @returns whether the file was purged at once; if not, the next clean end of the server does it
 * @throws Problem 400 for another name, 403 for a wrong password, 429 after too many of them
 */
export async function erasePatient(
  lead: SignedIn,
  draft: ErasureDraft,
): Promise<{ purged: boolean }> {
  const patient = await patientFor(lead, draft.patientId);
  const { clinicId } = lead;
  if (draft.name.normalize('NFC').trim() !== patient.name)
    throw new Problem(400, 'This is not the patient’s name as the record has it.', ['name']);
  const tried = [{ purpose: 'own password' as const, what: lead.id }];
  await countTry(tried);
  const known = await memberById(clinicId, lead.id);
  if (!known || !(await passwordFits(known.passwordHash, draft.password)))
    throw new Problem(403, 'Your password is not right.', ['password']);
  const at = now();
  const row: Erasure = {
    clinicId,
    patientId: patient.id,
    at,
    memberId: lead.id,
    reason: draft.reason,
  };
  const report = await eraseInThread({ row, tokenHash: lead.tokenHash, actor: actorOf(lead) });
  if (report.kind === 'refused') throw new GuardRefused(report.guard);
  if (report.kind === 'failed') throw new DatabaseFailure(report.busy ? 'busy' : 'failed', 'erase');
  // Carried out: what is left to do is tried.
  await write(() => forgetTries(tried)).catch((error: unknown) => logFailure('erase', error));
  await keepErasures().catch((error: unknown) => logFailure('erase', error));
  // What keeps its place in the journal may be a statement of this thread.
  return { purged: report.purged || (await cutJournal(databaseUrl())) };
}

const REASON_WORDS: Readonly<Record<ErasureReason, string>> = {
  asked: 'the patient asked for it',
  'kept long enough': 'kept as long as it had to be',
  'by mistake': 'made by mistake',
};

/** The tombstones of the lead's clinic, the newest first: when, by whom, why; of whom, nobody knows. */
export async function erasedAt(lead: SignedIn) {
  const [rows, members] = await Promise.all([erasuresAt(lead.clinicId), membersOf(lead.clinicId)]);
  const names = new Map<string, string>(members.map(({ id, name }) => [id, name]));
  return rows.map(({ patientId, at, memberId, reason }) => ({
    id: patientId,
    at,
    by: names.get(memberId) ?? 'a former member',
    reason: REASON_WORDS[reason],
  }));
}

const YEAR_MS = 365.25 * DAY_MS;

/**
 * Records in which nothing was written for as long as the clinic keeps them, oldest first; none where it
 * has set no time. They are shown, and erased by a person.
 */
export async function keptLongEnough(lead: SignedIn) {
  const clinic = await clinicById(lead.clinicId);
  if (!clinic || clinic.keepYears === null) return [];
  return longUntouched(lead.clinicId, later(now(), -clinic.keepYears * YEAR_MS));
}

/** Sets what a clinic keeps, for how long, and what it tells its patients of it. */
export function changeSafety(lead: SignedIn, draft: SafetyDraft): Promise<void> {
  const { clinicId } = lead;
  return writeAs(lead, 'lead', {
    verb: 'changed the rules of keeping of',
    subject: { kind: 'clinic', id: clinicId },
    statements: () => [updateClinic(clinicId, draft)],
  });
}
