import { LIST_BOUNDS } from './bounds';
import type { Instant } from '@/core/schedule';
import type { ClinicId } from '@/core/units';
import { type Statement, builder, read, readOne } from './door';
import { and, desc, eq } from 'drizzle-orm';
import { auditEvent } from './schema';

export type Actor =
  | { readonly kind: 'member'; readonly id: string; readonly session?: string }
  | { readonly kind: 'patient'; readonly id: string }
  | { readonly kind: 'system'; readonly id: string }
  /** A program of the clinic's own that reads by a key. */
  | { readonly kind: 'key'; readonly id: string };

/** What is written of an action: ids and verbs, never words or numbers of a patient. */
export type AuditEntry = {
  readonly clinicId: ClinicId;
  readonly at: Instant;
  readonly actor: Actor;
  readonly verb: string;
  readonly subject: { readonly kind: string; readonly id: string };
};

export function audit(entry: AuditEntry): Statement {
  return audits([entry]);
}

/** Several entries in one statement, in this order. */
export function audits(entries: readonly AuditEntry[]): Statement {
  return builder()
    .insert(auditEvent)
    .values(
      entries.map(({ clinicId, at, actor, verb, subject }) => ({
        clinicId,
        at,
        actorKind: actor.kind,
        actorId: actor.id,
        verb,
        subjectKind: subject.kind,
        subjectId: subject.id,
        session: actor.kind === 'member' ? (actor.session ?? '') : '',
      })),
    );
}

/** When the newest entry of a clinic's audit was written, by the clock of then; null before the first. */
export async function newestAuditAt(clinicId: ClinicId): Promise<Instant | null> {
  const row = await readOne((db) =>
    db
      .select({ at: auditEvent.at })
      .from(auditEvent)
      .where(eq(auditEvent.clinicId, clinicId))
      .orderBy(desc(auditEvent.at)),
  );
  return row?.at ?? null;
}

/** The newest audit events about one record, at most `limit`. */
export function auditOf(
  clinicId: ClinicId,
  subjectId: string,
  limit: number = LIST_BOUNDS.auditEvents,
) {
  return read((db) =>
    db
      .select()
      .from(auditEvent)
      .where(and(eq(auditEvent.clinicId, clinicId), eq(auditEvent.subjectId, subjectId)))
      .orderBy(desc(auditEvent.id))
      .limit(limit),
  );
}
