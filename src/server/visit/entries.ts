import { ageOn } from '@/core/identity';
import { isDeepStrictEqual } from 'node:util';
import type {
  ConsentBody,
  FileBodies,
  FileEntryDraft,
  FileEntryKind,
  HistoryBody,
  WithdrawDraft,
} from '@/core/records';
import type { LocalDate, AuthorId, EpisodeId } from '@/core/units';
import {
  dropEvidence,
  type FileEntryRow,
  type Patient,
  type Placed,
  entriesOf,
  entryById,
  guard,
  insertEntry,
  nothingNewer,
  newestConfirmed,
  forgetVisitDraft,
} from '@/db';
import type { SignedIn } from '../access';
import { patientFor } from '../people';
import { NOT_FOUND, Problem } from '../problem';
import { todayOf } from '../programme-facts';
import { writeAs } from './write-as';

export type Entry<T> = {
  readonly id: string;
  readonly on: LocalDate;
  readonly authorId: AuthorId;
  readonly episodeId: EpisodeId | null;
  readonly body: T;
};

/** Under this age, years, a guardian consents unless local law says otherwise. */
const ADULT_FROM = 18;

/** Adds an entry to the file, or one that supersedes an earlier one. */
export async function saveEntry(member: SignedIn, draft: FileEntryDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  if (draft.on > todayOf(patient))
    throw new Problem(400, 'An entry cannot be of a day to come.', ['on']);
  if (draft.kind === 'next-visit' && draft.body.date < todayOf(patient))
    throw new Problem(400, 'The next visit is of a day to come.', ['body', 'date']);
  if (draft.kind === 'consent') await checkGuardian(patient, draft.body);
  if (draft.kind === 'screened-on-paper') {
    if (draft.on !== todayOf(patient))
      throw new Problem(400, 'The reason is of the day it is written on.', ['on']);
    if (draft.body.screenedOn > draft.on)
      throw new Problem(400, 'A screening on paper cannot be of a day to come.', [
        'body',
        'screenedOn',
      ]);
  }
  await supersede(member, patient, draft, draft);
}

async function checkGuardian(patient: Patient, consent: ConsentBody): Promise<void> {
  const screening = await newestConfirmed(patient.clinicId, patient.id);
  const born = patient.birthDate;
  const age = born === null ? (screening?.answers.age ?? null) : ageOn(born, todayOf(patient));
  if (age !== null && age < ADULT_FROM && !consent.minor)
    throw new Problem(
      400,
      `The ${born === null ? 'screening' : 'birth date'} says ${age} years: a guardian consents for a minor. Local law decides.`,
      ['body', 'minor'],
    );
}

/** Takes an entry out; it stays in the record. */
export async function withdrawEntry(member: SignedIn, draft: WithdrawDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const old = await entryById(member.clinicId, draft.supersedes);
  if (!old || old.patientId !== patient.id) throw new Problem(404, NOT_FOUND);
  await supersede(
    member,
    patient,
    { kind: old.kind, body: null },
    {
      ...draft,
      on: old.localDate,
    },
  );
}

/** Kinds of which one entry counts: a new one takes the place of the one before. */
const isSingle = (kind: FileEntryKind) => kind === 'history' || kind === 'consent';

/** Kinds whose form is kept while it is filled in. */
const DRAFTED = ['history', 'goal', 'care', 'consent'] as const;
const isDrafted = (kind: FileEntryKind): kind is (typeof DRAFTED)[number] =>
  DRAFTED.some((one) => one === kind);

async function supersede(
  member: SignedIn,
  patient: Patient,
  { kind, body }: Pick<FileEntryRow, 'kind' | 'body'>,
  draft: { id: string; supersedes: string | null; on: LocalDate },
): Promise<void> {
  const { clinicId } = member;
  const { id, supersedes, on } = draft;
  const old = supersedes === null ? null : await entryById(clinicId, supersedes);
  if (supersedes !== null) {
    if (!old || old.patientId !== patient.id || old.kind !== kind)
      throw new Problem(404, NOT_FOUND);
  }
  await writeAs(member, kind === 'screened-on-paper' ? 'practitioner' : 'assistant', {
    verb: body === null ? 'took out' : supersedes === null ? 'added' : 'superseded',
    subject: { kind, id: supersedes ?? id },
    statements: (at) => [
      // A page that was left open, or that Back brought again, may have been read before another entry.
      ...(supersedes !== null || isSingle(kind)
        ? [guard('newest', nothingNewer({ clinicId, patientId: patient.id, kind, id, supersedes }))]
        : []),
      ...insertEntry({
        clinicId,
        id,
        patientId: patient.id,
        createdAt: at,
        authorId: member.id,
        kind,
        body,
        localDate: on,
        supersedes,
        // What puts an entry right stays with its complaint.
        episodeId: isSingle(kind) ? null : (old?.episodeId ?? null),
        // Kind and body belong together: the schema that read the draft tells them apart.
      } as Placed<FileEntryRow>),
      // What was learned from a course is forgotten as soon as it is not agreed to.
      ...(kind === 'consent' && !(body as ConsentBody | null)?.learning
        ? [dropEvidence(clinicId, patient.id)]
        : []),
      ...(isDrafted(kind)
        ? [forgetVisitDraft({ clinicId, patientId: patient.id, memberId: member.id, kind })]
        : []),
    ],
    isThere: async () => {
      const there = await entryById(clinicId, id);
      return there?.patientId === patient.id && isDeepStrictEqual(there.body, body);
    },
  });
}

function entryOf<Body>(row: {
  readonly id: string;
  readonly localDate: LocalDate;
  readonly authorId: AuthorId;
  readonly episodeId: EpisodeId | null;
  readonly body: Body | null;
}): Entry<Body> | null {
  const { id, localDate: on, authorId, episodeId, body } = row;
  return body === null ? null : { id, on, authorId, episodeId, body };
}

/** The newest history; null when none was taken. */
export async function newestHistory(patient: Patient): Promise<HistoryBody | null> {
  return (await newestEntry(patient, 'history'))?.body ?? null;
}

/** The newest entry of a kind of which only one counts; null when there is none. */
export async function newestEntry<Kind extends FileEntryKind>(
  patient: Patient,
  kind: Kind,
): Promise<Entry<FileBodies[Kind]> | null> {
  const [row] = await entriesOf(patient.clinicId, patient.id, [kind], 1);
  return row ? entryOf(row as EntryRow<Kind>) : null;
}

/** A row of a kind, as its kind promises its body. */
type EntryRow<Kind extends FileEntryKind> = Omit<FileEntryRow, 'body'> & {
  readonly body: FileBodies[Kind] | null;
};

/** The newest consent; null when none was asked. */
export function newestConsent(patient: Patient): Promise<Entry<ConsentBody> | null> {
  return newestEntry(patient, 'consent');
}

/** History, consent, goals, other care and the reason for no screening, as the page shows them. */
export async function fileOf(patient: Patient) {
  const rows = await entriesOf(patient.clinicId, patient.id, [
    'screened-on-paper',
    'history',
    'consent',
    'goal',
    'care',
  ]);
  const of = <Kind extends FileEntryKind>(kind: Kind) =>
    rows.flatMap((row) => (row.kind === kind ? (entryOf(row as EntryRow<Kind>) ?? []) : []));
  return {
    history: of('history')[0] ?? null,
    consent: of('consent')[0] ?? null,
    goals: of('goal'),
    care: of('care'),
    onPaper: of('screened-on-paper')[0] ?? null,
  };
}
