import type { ClinicId, PatientId } from '@/core/units';
import { and, asc, desc, eq, gt, gte, lt } from 'drizzle-orm';
import type { Instant } from '@/core/schedule';
import { LIST_BOUNDS } from './bounds';
import { type Statement, builder, read, readOne } from './door';
import { auditEvent, auditSeal, fileLook, member, patient } from './schema';

export type AuditRow = typeof auditEvent.$inferSelect;
export type LookRow = typeof fileLook.$inferSelect;
export type SealRow = typeof auditSeal.$inferSelect;

export function insertLook(row: Omit<LookRow, 'id'>): Statement {
  return builder().insert(fileLook).values(row);
}

/** What of a clinic's audit is asked for, newest first. */
export type AuditAsked = {
  readonly clinicId: ClinicId;
  /** Null for everybody. */
  readonly who: string | null;
  readonly from: Instant;
  readonly to: Instant;
  /** Rows with a smaller id only: the next page. */
  readonly before: number;
  readonly limit: number;
};

export function auditPage({ clinicId, who, from, to, before, limit }: AuditAsked) {
  return read((db) =>
    db
      .select()
      .from(auditEvent)
      .where(
        and(
          eq(auditEvent.clinicId, clinicId),
          who === null ? undefined : eq(auditEvent.actorId, who),
          gte(auditEvent.at, from),
          lt(auditEvent.at, to),
          lt(auditEvent.id, before),
        ),
      )
      .orderBy(desc(auditEvent.id))
      .limit(limit),
  );
}

export function lookPage({ clinicId, who, from, to, before, limit }: AuditAsked) {
  return read((db) =>
    db
      .select({ look: fileLook, name: patient.name })
      .from(fileLook)
      // A look outlives the patient it was at.
      .leftJoin(
        patient,
        and(eq(patient.clinicId, fileLook.clinicId), eq(patient.id, fileLook.patientId)),
      )
      .where(
        and(
          eq(fileLook.clinicId, clinicId),
          who === null ? undefined : eq(fileLook.memberId, who),
          gte(fileLook.at, from),
          lt(fileLook.at, to),
          lt(fileLook.id, before),
        ),
      )
      .orderBy(desc(fileLook.id))
      .limit(limit),
  );
}

/** Who looked into a patient's file, newest first. */
export function looksAt(clinicId: ClinicId, patientId: PatientId) {
  return read((db) =>
    db
      .select({ look: fileLook, by: member.name })
      .from(fileLook)
      .innerJoin(
        member,
        and(eq(member.clinicId, fileLook.clinicId), eq(member.id, fileLook.memberId)),
      )
      .where(and(eq(fileLook.clinicId, clinicId), eq(fileLook.patientId, patientId)))
      .orderBy(desc(fileLook.id))
      .limit(LIST_BOUNDS.looks),
  );
}

/** The newest seal over the audit; null before the first. */
export function newestSeal(): Promise<SealRow | null> {
  return readOne((db) => db.select().from(auditSeal).orderBy(desc(auditSeal.id)));
}

export function sealsAfter(id: number, limit: number): Promise<SealRow[]> {
  return read((db) =>
    db.select().from(auditSeal).where(gt(auditSeal.id, id)).orderBy(asc(auditSeal.id)).limit(limit),
  );
}

/** Events of every clinic after one, up to another if it is named, in the order they were written. */
export function eventsAfter(after: number, upTo: number, limit: number): Promise<AuditRow[]> {
  return read((db) =>
    db
      .select()
      .from(auditEvent)
      .where(and(gt(auditEvent.id, after), lt(auditEvent.id, upTo + 1)))
      .orderBy(asc(auditEvent.id))
      .limit(limit),
  );
}

export function looksAfter(after: number, upTo: number, limit: number): Promise<LookRow[]> {
  return read((db) =>
    db
      .select()
      .from(fileLook)
      .where(and(gt(fileLook.id, after), lt(fileLook.id, upTo + 1)))
      .orderBy(asc(fileLook.id))
      .limit(limit),
  );
}

export function insertSeal(row: SealRow): Statement {
  return builder().insert(auditSeal).values(row);
}
