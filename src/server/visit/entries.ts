import type {
  CareBody,
  ConsentBody,
  FileEntryDraft,
  FileEntryKind,
  GoalBody,
  HistoryBody,
  WithdrawDraft,
} from '@/core/records';
import type { LocalDate } from '@/core/units';
import {
  type FileEntryRow,
  type Patient,
  entriesOf,
  entryById,
  insertEntry,
  newestConfirmed,
} from '@/db';
import type { SignedIn } from '../access';
import { patientFor } from '../people';
import { NOT_FOUND, Problem } from '../problem';
import { todayOf } from '../programme-facts';
import { answersOf } from './screening';
import { writeAs } from './write-as';

export type Entry<T> = {
  readonly id: string;
  readonly on: LocalDate;
  readonly authorId: string;
  readonly body: T;
};

/** Under this age, years, a guardian consents unless local law says otherwise. */
const ADULT_FROM = 18;

/** Adds an entry to the file, or one that supersedes an earlier one. */
export async function saveEntry(member: SignedIn, draft: FileEntryDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  if (draft.on > todayOf(patient))
    throw new Problem(400, 'An entry cannot be of a day to come.', ['on']);
  if (draft.kind === 'consent') await checkGuardian(patient, draft.body);
  await supersede(member, patient, draft.kind, draft, JSON.stringify(draft.body));
}

async function checkGuardian(patient: Patient, consent: ConsentBody): Promise<void> {
  const screening = await newestConfirmed(patient.clinicId, patient.id);
  const age = screening && answersOf(screening).age;
  if (age !== null && age < ADULT_FROM && !consent.minor)
    throw new Problem(
      400,
      `The screening says ${age} years: a guardian consents for a minor. Local law decides.`,
      ['body', 'minor'],
    );
}

/** Takes an entry out; it stays in the record. */
export async function withdrawEntry(member: SignedIn, draft: WithdrawDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const old = await entryById(member.clinicId, draft.supersedes);
  if (!old || old.patientId !== patient.id) throw new Problem(404, NOT_FOUND);
  await supersede(member, patient, old.kind, { ...draft, on: old.localDate as LocalDate }, null);
}

async function supersede(
  member: SignedIn,
  patient: Patient,
  kind: FileEntryKind,
  draft: { id: string; supersedes: string | null; on: LocalDate },
  body: string | null,
): Promise<void> {
  const { clinicId } = member;
  const { id, supersedes, on } = draft;
  if (supersedes !== null) {
    const old = await entryById(clinicId, supersedes);
    if (!old || old.patientId !== patient.id || old.kind !== kind)
      throw new Problem(404, NOT_FOUND);
  }
  await writeAs(member, 'assistant', {
    verb: body === null ? 'took out' : supersedes === null ? 'added' : 'superseded',
    subject: { kind, id: supersedes ?? id },
    statements: (at) => [
      insertEntry({
        clinicId,
        id,
        patientId: patient.id,
        createdAt: at,
        authorId: member.id,
        kind,
        localDate: on,
        body,
        supersedes,
      }),
    ],
    isThere: async () => {
      const there = await entryById(clinicId, id);
      return there?.patientId === patient.id && there.body === body;
    },
  });
}

function readEntry<T>(row: FileEntryRow): Entry<T> {
  return {
    id: row.id,
    on: row.localDate as LocalDate,
    authorId: row.authorId,
    body: JSON.parse(row.body ?? 'null') as T,
  };
}

/** The newest history; null when none was taken. */
export async function newestHistory(patient: Patient): Promise<HistoryBody | null> {
  return (await newestEntry<HistoryBody>(patient, 'history'))?.body ?? null;
}

/** The newest entry of a kind of which only one counts; null when there is none. */
export async function newestEntry<T>(
  patient: Patient,
  kind: FileEntryKind,
): Promise<Entry<T> | null> {
  const [row] = await entriesOf(patient.clinicId, patient.id, [kind], 1);
  return row ? readEntry<T>(row) : null;
}

/** The newest consent; null when none was asked. */
export function newestConsent(patient: Patient): Promise<Entry<ConsentBody> | null> {
  return newestEntry<ConsentBody>(patient, 'consent');
}

/** History, consent, goals and other care, as the page shows them. */
export async function fileOf(patient: Patient) {
  const rows = await entriesOf(patient.clinicId, patient.id, [
    'history',
    'consent',
    'goal',
    'care',
  ]);
  const of = <T>(kind: FileEntryKind) =>
    rows.filter((row) => row.kind === kind).map((row) => readEntry<T>(row));
  return {
    history: of<HistoryBody>('history')[0] ?? null,
    consent: of<ConsentBody>('consent')[0] ?? null,
    goals: of<GoalBody>('goal'),
    care: of<CareBody>('care'),
  };
}
