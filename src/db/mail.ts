import { and, eq, gte, sql } from 'drizzle-orm';
import type { Instant } from '@/core/schedule';
import { LIST_BOUNDS } from './bounds';
import type { ClinicId, PatientId } from '@/core/units';
import { type Statement, builder, read, readOne } from './door';
import { mailServer, mailStop, message } from './schema';

export type MailServer = typeof mailServer.$inferSelect;

export function mailServerOf(clinicId: ClinicId): Promise<MailServer | null> {
  return readOne((db) => db.select().from(mailServer).where(eq(mailServer.clinicId, clinicId)));
}

export function putMailServer(row: MailServer): Statement {
  const { on, host, port, security, user, password, from, mostADay, updatedAt } = row;
  const set = { on, host, port, security, user, password, from, mostADay, updatedAt };
  return builder().insert(mailServer).values(row).onConflictDoUpdate({
    target: mailServer.clinicId,
    set,
  });
}

/** How many mails of a clinic left the house since. */
export async function mailsSince(clinicId: ClinicId, since: Instant): Promise<number> {
  const rows = await read((db) =>
    db
      .select({ count: sql<number>`count(*)` })
      .from(message)
      .where(
        and(
          eq(message.clinicId, clinicId),
          eq(message.channel, 'e-mail'),
          gte(message.sentAt, since),
        ),
      ),
  );
  return rows[0]?.count ?? 0;
}

/** Whether the patient stopped the mails by the link in one. */
export async function hasStoppedMail(clinicId: ClinicId, patientId: PatientId): Promise<boolean> {
  return (await mailStopOf(clinicId, patientId)) !== null;
}

export function mailStopOf(clinicId: ClinicId, patientId: PatientId) {
  return readOne((db) =>
    db
      .select()
      .from(mailStop)
      .where(and(eq(mailStop.clinicId, clinicId), eq(mailStop.patientId, patientId))),
  );
}

export function stopMail(clinicId: ClinicId, patientId: PatientId, at: Instant): Statement {
  return builder()
    .insert(mailStop)
    .values({ clinicId, patientId, stoppedAt: at })
    .onConflictDoNothing();
}

/** The patient asked for them anew. */
export function startMail(clinicId: ClinicId, patientId: PatientId): Statement {
  return builder()
    .delete(mailStop)
    .where(and(eq(mailStop.clinicId, clinicId), eq(mailStop.patientId, patientId)));
}

/** E-mails of a clinic that left since a moment. */
export function mailsSentSince(clinicId: ClinicId, since: Instant) {
  return read((db) =>
    db
      .select({ id: message.id, patientId: message.patientId })
      .from(message)
      .where(
        and(
          eq(message.clinicId, clinicId),
          eq(message.channel, 'e-mail'),
          gte(message.sentAt, since),
        ),
      )
      .limit(LIST_BOUNDS.mailsLookedThrough),
  );
}

/** A guard's condition: the message left, and has not come back already. */
export function messageWasSent(clinicId: ClinicId, id: string) {
  return sql`SELECT count(*) = 1 FROM message AS m WHERE m.clinic_id = ${clinicId}
    AND m.id = ${id} AND m.state = 'sent'`;
}

/** Marks a message that left and came back. */
export function markReturned(clinicId: ClinicId, id: string): Statement {
  return builder()
    .update(message)
    .set({ state: 'given up', because: 'came back' })
    .where(and(eq(message.clinicId, clinicId), eq(message.id, id)));
}

/** Whether a mail to this address of a patient came back. */
export async function hasComeBack(
  clinicId: ClinicId,
  patientId: PatientId,
  address: string,
): Promise<boolean> {
  const row = await readOne((db) =>
    db
      .select({ id: message.id })
      .from(message)
      .where(
        and(
          eq(message.clinicId, clinicId),
          eq(message.patientId, patientId),
          eq(message.address, address),
          eq(message.because, 'came back'),
        ),
      ),
  );
  return row !== null;
}
