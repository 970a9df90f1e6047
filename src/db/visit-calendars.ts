import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { ClinicId, MemberId } from '@/core/units';
import { LIST_BOUNDS } from './bounds';
import { type Statement, builder, read, readOne } from './door';
import { fileEntry, member, patient, visitCalendar } from './schema';
import { notSuperseded, readBody } from './visit/entries';

/** The address of a member's calendar, in the place of the one before. */
export function putVisitCalendar(row: typeof visitCalendar.$inferInsert): Statement {
  return builder()
    .insert(visitCalendar)
    .values(row)
    .onConflictDoUpdate({
      target: [visitCalendar.clinicId, visitCalendar.memberId],
      set: { tokenHash: row.tokenHash, createdAt: row.createdAt },
    });
}

export function endVisitCalendar(clinicId: ClinicId, memberId: MemberId): Statement {
  return builder()
    .delete(visitCalendar)
    .where(and(eq(visitCalendar.clinicId, clinicId), eq(visitCalendar.memberId, memberId)));
}

/** When a member's address was made; null where they have none. */
export async function visitCalendarOf(clinicId: ClinicId, memberId: MemberId) {
  const row = await readOne((db) =>
    db
      .select({ createdAt: visitCalendar.createdAt })
      .from(visitCalendar)
      .where(and(eq(visitCalendar.clinicId, clinicId), eq(visitCalendar.memberId, memberId))),
  );
  return row?.createdAt ?? null;
}

/** Whose calendar an address is; nobody's where the member was shut out since. */
export function memberByCalendar(tokenHash: string) {
  return readOne((db) =>
    db
      .select({ clinicId: visitCalendar.clinicId, memberId: visitCalendar.memberId })
      .from(visitCalendar)
      .innerJoin(
        member,
        and(eq(member.clinicId, visitCalendar.clinicId), eq(member.id, visitCalendar.memberId)),
      )
      .where(and(eq(visitCalendar.tokenHash, tokenHash), eq(member.active, true))),
  );
}

/** What is agreed of the next visits of a practitioner's patients, who are looked after. */
export async function nextVisitsFor(clinicId: ClinicId, practitionerId: MemberId) {
  const rows = await read((db) =>
    db
      .select({
        patientId: patient.id,
        name: patient.name,
        zone: patient.zone,
        id: fileEntry.id,
        createdAt: fileEntry.createdAt,
        body: fileEntry.body,
      })
      .from(patient)
      .innerJoin(
        fileEntry,
        and(
          eq(fileEntry.clinicId, patient.clinicId),
          eq(fileEntry.patientId, patient.id),
          eq(fileEntry.kind, 'next-visit'),
        ),
      )
      .where(
        and(
          eq(patient.clinicId, clinicId),
          eq(patient.practitionerId, practitionerId),
          isNull(patient.archivedAt),
          sql`${fileEntry.body} IS NOT NULL`,
          notSuperseded,
        ),
      )
      .orderBy(asc(fileEntry.createdAt), asc(sql`file_entry.rowid`))
      .limit(LIST_BOUNDS.newestOfEach),
  );
  // The newest of each patient stands.
  const newest = new Map(rows.map((row) => [row.patientId, row]));
  return [...newest.values()].map(({ id, body, ...row }) => ({
    ...row,
    visit: readBody('next-visit', body ?? '', id),
  }));
}
