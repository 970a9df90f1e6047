import type { Look } from '@/core/records';
import type { Instant } from '@/core/schedule';
import {
  type AuditAsked,
  LIST_BOUNDS,
  auditPage,
  lookPage,
  looksAt,
  patientNames,
  apiKeysOf,
  membersOf,
  type Patient,
} from '@/db';
import type { SignedIn } from './access';

/** What the lead asks of the audit. */
export type AuditQuery = {
  readonly show: 'changes' | 'looks';
  /** A member, or null for everybody. */
  readonly who: string | null;
  readonly from: Instant;
  /** The first instant that is not asked for. */
  readonly to: Instant;
  /** Rows before this one; the newest where it is left out. */
  readonly before: number;
};

/** One line of the audit: who, what, which record, when; ids where a record has no name of its own. */
export type AuditLine = {
  readonly id: number;
  readonly at: number;
  readonly by: string;
  readonly verb: string;
  readonly subject: string;
  readonly session: string;
};

const LOOKED: Readonly<Record<Look, string>> = {
  file: 'looked into the file of',
  handout: 'made a handout of',
  letter: 'took out a letter about',
  'whole record': 'took out the whole record of',
};

/** What stands in the place of a name that is not there any more. */
const ERASED = 'an erased record';

async function lines(lead: SignedIn, query: AuditQuery, limit: number): Promise<AuditLine[]> {
  const { clinicId } = lead;
  const { show, ...rest } = query;
  const asked: AuditAsked = { clinicId, ...rest, limit };
  const [members, keys] = await Promise.all([membersOf(clinicId), apiKeysOf(clinicId)]);
  const names = new Map<string, string>([
    ...members.map(({ id, name }) => [id, name] as const),
    ...keys.map(({ id, name }) => [id, `the key “${name}”`] as const),
  ]);
  if (show === 'looks')
    return (await lookPage(asked)).map(({ look, name }) => ({
      id: look.id,
      at: look.at,
      by: names.get(look.memberId) ?? look.memberId,
      verb: LOOKED[look.what],
      subject: name ?? ERASED,
      session: look.session,
    }));
  const rows = await auditPage(asked);
  const ids = rows.flatMap((row) => [
    ...(row.actorKind === 'patient' ? [row.actorId] : []),
    ...(row.subjectKind === 'patient' ? [row.subjectId] : []),
  ]);
  for (const [id, name] of await patientNames(clinicId, [...new Set(ids)])) names.set(id, name);
  return rows.map((row) => ({
    id: row.id,
    at: row.at,
    by: names.get(row.actorId) ?? row.actorKind,
    verb: row.verb,
    subject:
      names.get(row.subjectId) ??
      (row.subjectKind === 'patient' ? ERASED : `${row.subjectKind} ${row.subjectId.slice(0, 8)}`),
    session: '',
  }));
}

/** A page of the audit, the newest first, and whether there is another. */
export async function auditLines(lead: SignedIn, query: AuditQuery) {
  const rows = await lines(lead, query, LIST_BOUNDS.auditPage + 1);
  return {
    rows: rows.slice(0, LIST_BOUNDS.auditPage),
    next:
      rows.length > LIST_BOUNDS.auditPage ? (rows[LIST_BOUNDS.auditPage - 1]?.id ?? null) : null,
    members: (await membersOf(lead.clinicId)).map(({ id, name }) => ({ id, name })),
  };
}

/** The same as rows of a file, as many as one may hold. */
export function auditFile(lead: SignedIn, query: AuditQuery): Promise<AuditLine[]> {
  return lines(lead, query, LIST_BOUNDS.auditFile);
}

/** Who looked into this patient's file, newest first. */
export async function fileLooks(patient: Patient) {
  return (await looksAt(patient.clinicId, patient.id)).map(({ look, by }) => ({
    id: look.id,
    at: look.at,
    by,
    what: LOOKED[look.what],
    session: look.session,
  }));
}
