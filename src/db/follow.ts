import { and, asc, desc, eq, inArray, isNull, lt, or, sql } from 'drizzle-orm';
import { type Statement, builder, read } from './door';
import {
  alert,
  auditEvent,
  episode,
  outcomeLetter,
  patient,
  patientLink,
  proposalDecision,
  screening,
  fileEntry,
  teachBack,
  triageMark,
  triageRow,
} from './schema';

export type ProposalDecisionRow = typeof proposalDecision.$inferSelect;
export type TriageRow = typeof triageRow.$inferSelect;
export type TriageMarkRow = typeof triageMark.$inferSelect;
export type OutcomeLetterRow = typeof outcomeLetter.$inferSelect;

/** What was decided about a patient's proposals, newest first. */
export function proposalDecisionsOf(
  clinicId: string,
  patientIds: readonly string[],
  limit = 400,
): Promise<ProposalDecisionRow[]> {
  return read((db) =>
    db
      .select()
      .from(proposalDecision)
      .where(
        and(
          eq(proposalDecision.clinicId, clinicId),
          inArray(proposalDecision.patientId, [...patientIds]),
        ),
      )
      .orderBy(desc(proposalDecision.createdAt), desc(sql`rowid`))
      .limit(limit),
  );
}

/** The clinic's newest decisions about proposals. */
export function newestProposalDecisions(clinicId: string, limit: number) {
  return read((db) =>
    db
      .select()
      .from(proposalDecision)
      .where(eq(proposalDecision.clinicId, clinicId))
      .orderBy(desc(proposalDecision.createdAt))
      .limit(limit),
  );
}

export function insertProposalDecision(row: ProposalDecisionRow): Statement {
  return builder().insert(proposalDecision).values(row);
}

/** The most patients whose rows are reckoned at once. */
export const TRIAGE_CHUNK = 200;

/** Patients of the clinic without a row that still holds, at most so many. */
export async function patientsWithoutTriage(clinicId: string, at: number, most = TRIAGE_CHUNK) {
  const rows = await read((db) =>
    db
      .select({ patient })
      .from(patient)
      .leftJoin(
        triageRow,
        and(eq(triageRow.clinicId, patient.clinicId), eq(triageRow.patientId, patient.id)),
      )
      .where(
        and(
          eq(patient.clinicId, clinicId),
          or(isNull(triageRow.patientId), lt(triageRow.staleAt, at + 1)),
        ),
      )
      .limit(most),
  );
  return rows.map((row) => row.patient);
}

/** The newest thing written of a clinic, by anybody. */
export async function newestAudit(clinicId: string): Promise<number> {
  const rows = await read((db) =>
    db
      .select({ id: sql<number>`coalesce(max(${auditEvent.id}), 0)` })
      .from(auditEvent)
      .where(eq(auditEvent.clinicId, clinicId)),
  );
  return rows[0]?.id ?? 0;
}

/** A guard's condition: nothing has been written of the clinic since. */
export function nothingWrittenSince(clinicId: string, audit: number) {
  return sql`SELECT coalesce(max(${auditEvent.id}), 0) = ${audit} FROM ${auditEvent}
    WHERE ${auditEvent.clinicId} = ${clinicId}`;
}

/** How many of the clinic's patients have no row that still holds. */
export async function countWithoutTriage(clinicId: string, at: number): Promise<number> {
  const rows = await read((db) =>
    db
      .select({ n: sql<number>`count(*)` })
      .from(patient)
      .leftJoin(
        triageRow,
        and(eq(triageRow.clinicId, patient.clinicId), eq(triageRow.patientId, patient.id)),
      )
      .where(
        and(
          eq(patient.clinicId, clinicId),
          or(isNull(triageRow.patientId), lt(triageRow.staleAt, at + 1)),
        ),
      ),
  );
  return rows[0]?.n ?? 0;
}

export function putTriageRows(rows: readonly TriageRow[]): Statement {
  return builder()
    .insert(triageRow)
    .values([...rows])
    .onConflictDoUpdate({
      target: [triageRow.clinicId, triageRow.patientId],
      set: {
        forDate: sql`excluded.for_date`,
        staleAt: sql`excluded.stale_at`,
        level: sql`excluded.level`,
        urgency: sql`excluded.urgency`,
        aside: sql`excluded.aside`,
        practitionerId: sql`excluded.practitioner_id`,
        name: sql`excluded.name`,
        body: sql`excluded.body`,
      },
    });
}

/** The most rows of one level that a page shows. */
export const TRIAGE_PAGE = 50;

export type TriageQuery = {
  readonly clinicId: string;
  /** Null for those put aside, whatever their level. */
  readonly level: number | null;
  readonly search: string;
  /** Null for everybody's. */
  readonly practitionerId: string | null;
  readonly page: number;
};

function triaged({ clinicId, level, search, practitionerId }: Omit<TriageQuery, 'page'>) {
  const pattern = `%${search.replace(/[\\%_]/g, (c) => `\\${c}`)}%`;
  return and(
    eq(triageRow.clinicId, clinicId),
    eq(triageRow.aside, level === null),
    level === null ? undefined : eq(triageRow.level, level),
    practitionerId === null ? undefined : eq(triageRow.practitionerId, practitionerId),
    search === '' ? undefined : sql`${triageRow.name} LIKE ${pattern} ESCAPE '\\'`,
  );
}

/** One page of a level, the most urgent first, then by name. */
export function triageRowsOf(query: TriageQuery): Promise<TriageRow[]> {
  return read((db) =>
    db
      .select()
      .from(triageRow)
      .where(triaged(query))
      .orderBy(asc(triageRow.level), asc(triageRow.urgency), asc(triageRow.name))
      .limit(TRIAGE_PAGE)
      .offset((query.page - 1) * TRIAGE_PAGE),
  );
}

export async function countTriageRows(query: Omit<TriageQuery, 'page'>): Promise<number> {
  const rows = await read((db) =>
    db
      .select({ n: sql<number>`count(*)` })
      .from(triageRow)
      .where(triaged(query)),
  );
  return rows[0]?.n ?? 0;
}

/** How many of each practitioner stand in each level. */
export function triageCounts(clinicId: string) {
  return read((db) =>
    db
      .select({
        practitionerId: triageRow.practitionerId,
        level: triageRow.level,
        aside: triageRow.aside,
        count: sql<number>`count(*)`,
      })
      .from(triageRow)
      .where(eq(triageRow.clinicId, clinicId))
      .groupBy(triageRow.practitionerId, triageRow.level, triageRow.aside),
  );
}

/** The newest mark of each of these patients. */
export async function newestMarksOf(clinicId: string, patientIds: readonly string[]) {
  const rows = await read((db) =>
    db
      .select()
      .from(triageMark)
      .where(and(eq(triageMark.clinicId, clinicId), inArray(triageMark.patientId, [...patientIds])))
      .orderBy(asc(triageMark.createdAt), asc(sql`rowid`))
      .limit(20_000),
  );
  return new Map(rows.map((row) => [row.patientId, row]));
}

export function insertTriageMark(row: TriageMarkRow): Statement {
  return builder().insert(triageMark).values(row);
}

/** The newest confirmed screening of each of these patients. */
export async function newestConfirmedOf(clinicId: string, patientIds: readonly string[]) {
  const rows = await read((db) =>
    db
      .select({
        patientId: screening.patientId,
        localDate: screening.localDate,
        precautions: screening.precautions,
      })
      .from(screening)
      .where(
        and(
          eq(screening.clinicId, clinicId),
          inArray(screening.patientId, [...patientIds]),
          sql`${screening.confirmedBy} IS NOT NULL`,
        ),
      )
      .orderBy(asc(screening.createdAt), asc(sql`rowid`))
      .limit(20_000),
  );
  return new Map(rows.map((row) => [row.patientId, row]));
}

/** The home that counts of each of these patients, as JSON. */
export async function homesOf(clinicId: string, patientIds: readonly string[]) {
  const rows = await read((db) =>
    db
      .select({ patientId: fileEntry.patientId, body: fileEntry.body })
      .from(fileEntry)
      .where(
        and(
          eq(fileEntry.clinicId, clinicId),
          inArray(fileEntry.patientId, [...patientIds]),
          eq(fileEntry.kind, 'home'),
          sql`${fileEntry.body} IS NOT NULL`,
        ),
      )
      .orderBy(asc(fileEntry.createdAt), asc(sql`rowid`))
      .limit(20_000),
  );
  return new Map(rows.map((row) => [row.patientId, row.body ?? '{}']));
}

/** The newest teaching of each of these patients, as JSON. */
export async function newestTeachingsOf(clinicId: string, patientIds: readonly string[]) {
  const rows = await read((db) =>
    db
      .select({ patientId: teachBack.patientId, body: teachBack.body })
      .from(teachBack)
      .where(and(eq(teachBack.clinicId, clinicId), inArray(teachBack.patientId, [...patientIds])))
      .orderBy(asc(teachBack.createdAt))
      .limit(20_000),
  );
  return new Map(rows.map((row) => [row.patientId, row.body]));
}

/** The newest link of each of these patients. */
export async function newestLinksOf(clinicId: string, patientIds: readonly string[]) {
  const rows = await read((db) =>
    db
      .select()
      .from(patientLink)
      .where(
        and(eq(patientLink.clinicId, clinicId), inArray(patientLink.patientId, [...patientIds])),
      )
      .orderBy(asc(patientLink.createdAt))
      .limit(20_000),
  );
  return new Map(rows.map((row) => [row.patientId, row]));
}

/** Each of these patients' newest episode. */
export async function newestEpisodesOf(clinicId: string, patientIds: readonly string[]) {
  const rows = await read((db) =>
    db
      .select()
      .from(episode)
      .where(and(eq(episode.clinicId, clinicId), inArray(episode.patientId, [...patientIds])))
      .orderBy(asc(episode.openedOn), asc(sql`rowid`))
      .limit(20_000),
  );
  return new Map(rows.map((row) => [row.patientId, row]));
}

/** Marks every alert of the clinic that has been open since before an instant as the lead's. */
export function escalateAlerts(clinicId: string, openSince: number, at: number): Statement {
  return builder()
    .update(alert)
    .set({ escalatedAt: at })
    .where(
      and(
        eq(alert.clinicId, clinicId),
        isNull(alert.acknowledgedAt),
        isNull(alert.escalatedAt),
        lt(alert.createdAt, openSince),
      ),
    );
}

/** Alerts that have been open since before an instant and are not the lead's yet, the oldest first. */
export function alertsToEscalate(
  clinicId: string,
  openSince: number,
): Promise<{ id: string; patientId: string }[]> {
  return read((db) =>
    db
      .select({ id: alert.id, patientId: alert.patientId })
      .from(alert)
      .where(
        and(
          eq(alert.clinicId, clinicId),
          isNull(alert.acknowledgedAt),
          isNull(alert.escalatedAt),
          lt(alert.createdAt, openSince),
        ),
      )
      .orderBy(asc(alert.createdAt))
      .limit(500),
  );
}

/** A patient's letters, newest first. */
export function outcomeLettersOf(clinicId: string, patientId: string): Promise<OutcomeLetterRow[]> {
  return read((db) =>
    db
      .select()
      .from(outcomeLetter)
      .where(and(eq(outcomeLetter.clinicId, clinicId), eq(outcomeLetter.patientId, patientId)))
      .orderBy(desc(outcomeLetter.createdAt))
      .limit(50),
  );
}

export async function outcomeLetterById(
  clinicId: string,
  id: string,
): Promise<OutcomeLetterRow | null> {
  const rows = await read((db) =>
    db
      .select()
      .from(outcomeLetter)
      .where(and(eq(outcomeLetter.clinicId, clinicId), eq(outcomeLetter.id, id)))
      .limit(1),
  );
  return rows[0] ?? null;
}

export function insertOutcomeLetter(row: OutcomeLetterRow): Statement {
  return builder().insert(outcomeLetter).values(row);
}

/** Closes the patient's open episode of care. */
export function closeEpisodes(clinicId: string, patientId: string, on: string): Statement {
  return builder()
    .update(episode)
    .set({ closedOn: on })
    .where(
      and(
        eq(episode.clinicId, clinicId),
        eq(episode.patientId, patientId),
        isNull(episode.closedOn),
      ),
    );
}
