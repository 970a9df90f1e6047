import { LIST_BOUNDS } from './bounds';
import type { Instant } from '@/core/schedule';
import { and, asc, desc, eq, isNotNull, isNull, lte, sql } from 'drizzle-orm';
import type { ClinicId, PatientId } from '@/core/units';
import { readBody } from './visit/entries';
import { type Statement, builder, read, readOne } from './door';
import { Unreadable } from './unreadable';
import { calendarLink, fileEntry, message, patient } from './schema';

export type MessageRow = typeof message.$inferSelect;

/**
 * Patients who asked to be reminded, with what they asked for (null where that cannot be read), by id after
 * this one.
 */
export async function remindedPatients(after: string, limit: number) {
  const rows = await read((db) =>
    db
      .select({ patient, id: fileEntry.id, body: fileEntry.body })
      .from(fileEntry)
      .innerJoin(
        patient,
        and(eq(patient.clinicId, fileEntry.clinicId), eq(patient.id, fileEntry.patientId)),
      )
      .where(
        and(
          eq(fileEntry.kind, 'reminders'),
          isNotNull(fileEntry.body),
          isNull(patient.archivedAt),
          sql`${patient.id} > ${after}`,
          sql`NOT EXISTS (SELECT 1 FROM file_entry AS later WHERE later.clinic_id = file_entry.clinic_id
            AND later.supersedes = file_entry.id)`,
        ),
      )
      .orderBy(asc(patient.id))
      .limit(limit),
  );
  return rows.map(({ patient: whose, id, body }) => ({
    patient: whose,
    settings: settingsIn(body ?? '', id),
  }));
}

/** What cannot be read reminds of nothing, and keeps nobody else from theirs. */
function settingsIn(body: string, id: string) {
  try {
    return readBody('reminders', body, id);
  } catch (error) {
    if (error instanceof Unreadable) return null;
    throw error;
  }
}

/** A message that is there already stays as it is. */
export function insertMessage(row: MessageRow): Statement {
  return builder().insert(message).values(row).onConflictDoNothing();
}

/** What is to be sent by now, the oldest first. */
export function dueMessages(at: Instant, limit: number): Promise<MessageRow[]> {
  return read((db) =>
    db
      .select()
      .from(message)
      .where(and(eq(message.state, 'waiting'), lte(message.dueAt, at)))
      .orderBy(asc(message.dueAt))
      .limit(limit),
  );
}

/** Claims a message for one attempt: only one process gets it. */
export function claimMessage(row: MessageRow, nextAt: Instant): Statement {
  return builder()
    .update(message)
    .set({ attempts: row.attempts + 1, dueAt: nextAt })
    .where(and(isMessage(row), eq(message.attempts, row.attempts)));
}

export function closeMessage(
  row: Pick<MessageRow, 'clinicId' | 'id'>,
  state: MessageRow['state'],
  sentAt: Instant | null,
  because: MessageRow['because'] = null,
): Statement {
  return builder().update(message).set({ state, sentAt, because }).where(isMessage(row));
}

const isMessage = ({ clinicId, id }: Pick<MessageRow, 'clinicId' | 'id'>) =>
  and(eq(message.clinicId, clinicId), eq(message.id, id));

export async function messageById(clinicId: ClinicId, id: string): Promise<MessageRow | null> {
  return readOne((db) => db.select().from(message).where(isMessage({ clinicId, id })));
}

/** A clinic's outbox with the names it is for, newest first. */
export function messagesOf(clinicId: ClinicId, limit: number = LIST_BOUNDS.messages) {
  return read((db) =>
    db
      .select({ message, name: patient.name })
      .from(message)
      .innerJoin(
        patient,
        and(eq(patient.clinicId, message.clinicId), eq(patient.id, message.patientId)),
      )
      .where(eq(message.clinicId, clinicId))
      .orderBy(desc(message.createdAt))
      .limit(limit),
  );
}

export function insertCalendarLink(row: typeof calendarLink.$inferInsert): Statement {
  return builder().insert(calendarLink).values(row);
}

export function revokeCalendarLinks(
  clinicId: ClinicId,
  patientId: PatientId,
  at: Instant,
): Statement {
  return builder()
    .update(calendarLink)
    .set({ revokedAt: at })
    .where(
      and(
        eq(calendarLink.clinicId, clinicId),
        eq(calendarLink.patientId, patientId),
        isNull(calendarLink.revokedAt),
      ),
    );
}

/** The patient of a calendar's address, unless it was revoked; null otherwise. */
export async function patientByCalendar(tokenHash: string) {
  const row = await readOne((db) =>
    db
      .select({ patient })
      .from(calendarLink)
      .innerJoin(
        patient,
        and(eq(patient.clinicId, calendarLink.clinicId), eq(patient.id, calendarLink.patientId)),
      )
      .where(and(eq(calendarLink.tokenHash, tokenHash), isNull(calendarLink.revokedAt))),
  );
  return row?.patient ?? null;
}
