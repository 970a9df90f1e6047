import { LIST_BOUNDS } from '../bounds';
import { rollup } from 'd3';
import { and, asc, desc, eq, gte, sql } from 'drizzle-orm';
import type { FileBodies, FileEntryKind } from '@/core/records';
import type { ClinicId, LocalDate } from '@/core/units';
import { type OfPatients, aboutThese, among, ofPatients } from '../among';
import { prepared, read } from '../door';
import type { Episode } from '../people';
import { notSuperseded, readBody } from '../visit/entries';
import type { ScreeningRow } from '../visit/screenings';
import { episode, patientLink, screening, fileEntry, teachBack } from '../schema';

/** The newest confirmed screening of each of these patients. */
export async function newestConfirmedOf(clinicId: ClinicId, patientIds: readonly string[]) {
  const rows = await confirmed(ofPatients(clinicId, patientIds));
  return new Map(rows.map((row) => [row.patientId, row]));
}

const confirmed = prepared<
  OfPatients,
  Pick<ScreeningRow, 'patientId' | 'localDate' | 'precautions'>
>((db) =>
  db
    .select({
      patientId: screening.patientId,
      localDate: screening.localDate,
      precautions: screening.precautions,
    })
    .from(screening)
    .where(and(aboutThese(screening), sql`${screening.confirmedBy} IS NOT NULL`))
    .orderBy(asc(screening.createdAt), asc(sql`rowid`))
    .limit(LIST_BOUNDS.newestOfEach)
    .prepare(),
);

/** The newest entry of a kind of each of these patients that was not taken out again. */
async function newestEntriesOf<Kind extends FileEntryKind>(
  clinicId: ClinicId,
  patientIds: readonly string[],
  kind: Kind,
): Promise<Map<string, FileBodies[Kind]>> {
  if (patientIds.length === 0) return new Map();
  const rows = await entries({ ...ofPatients(clinicId, patientIds), kind });
  const newest = new Map(rows.map((row) => [row.patientId, row]));
  return new Map(
    [...newest].map(([patientId, { id, body }]) => [patientId, readBody(kind, body ?? '', id)]),
  );
}

type EntryRow = Pick<
  typeof fileEntry.$inferSelect,
  'patientId' | 'id' | 'localDate' | 'authorId' | 'body'
>;

const entries = prepared<
  OfPatients & { readonly kind: FileEntryKind },
  Pick<EntryRow, 'patientId' | 'id' | 'body'>
>((db) =>
  db
    .select({ patientId: fileEntry.patientId, id: fileEntry.id, body: fileEntry.body })
    .from(fileEntry)
    .where(
      and(
        aboutThese(fileEntry),
        eq(fileEntry.kind, sql.placeholder('kind')),
        sql`${fileEntry.body} IS NOT NULL`,
        notSuperseded,
      ),
    )
    .orderBy(asc(fileEntry.createdAt), asc(sql`rowid`))
    .limit(LIST_BOUNDS.newestOfEach)
    .prepare(),
);

/** What each of these patients has at home, as it was recorded last. */
export function homesOf(clinicId: ClinicId, patientIds: readonly string[]) {
  return newestEntriesOf(clinicId, patientIds, 'home');
}

/** When each of these patients comes next. */
export function nextVisitsOf(clinicId: ClinicId, patientIds: readonly string[]) {
  return newestEntriesOf(clinicId, patientIds, 'next-visit');
}

/** The newest call or message with each of these patients since a day, and who wrote it down. */
export async function contactsSince(
  clinicId: ClinicId,
  patientIds: readonly string[],
  since: LocalDate,
) {
  if (patientIds.length === 0) return new Map<string, never>();
  const rows = await contacts({ ...ofPatients(clinicId, patientIds), since });
  return new Map(
    rows.map(({ patientId, id, localDate, authorId, body }) => [
      patientId,
      { on: localDate, authorId, ...readBody('contact', body ?? '', id) },
    ]),
  );
}

const contacts = prepared<OfPatients & { readonly since: LocalDate }, EntryRow>((db) =>
  db
    .select({
      patientId: fileEntry.patientId,
      id: fileEntry.id,
      localDate: fileEntry.localDate,
      authorId: fileEntry.authorId,
      body: fileEntry.body,
    })
    .from(fileEntry)
    .where(
      and(
        aboutThese(fileEntry),
        eq(fileEntry.kind, 'contact'),
        gte(fileEntry.localDate, sql.placeholder('since')),
        sql`${fileEntry.body} IS NOT NULL`,
        notSuperseded,
      ),
    )
    .orderBy(asc(fileEntry.createdAt), asc(sql`rowid`))
    .limit(LIST_BOUNDS.newestOfEach)
    .prepare(),
);

/** The newest teaching of each of these patients. */
export async function newestTeachingsOf(clinicId: ClinicId, patientIds: readonly string[]) {
  const rows = await teachings(ofPatients(clinicId, patientIds));
  return new Map(rows.map((row) => [row.patientId, row.body]));
}

const teachings = prepared<OfPatients, Pick<typeof teachBack.$inferSelect, 'patientId' | 'body'>>(
  (db) =>
    db
      .select({ patientId: teachBack.patientId, body: teachBack.body })
      .from(teachBack)
      .where(aboutThese(teachBack))
      .orderBy(asc(teachBack.createdAt))
      .limit(LIST_BOUNDS.newestOfEach)
      .prepare(),
);

/** The newest link of each of these patients. */
export async function newestLinksOf(clinicId: ClinicId, patientIds: readonly string[]) {
  const rows = await read((db) =>
    db
      .select()
      .from(patientLink)
      .where(and(eq(patientLink.clinicId, clinicId), among(patientLink.patientId, patientIds)))
      .orderBy(asc(patientLink.createdAt))
      .limit(LIST_BOUNDS.newestOfEach),
  );
  return new Map(rows.map((row) => [row.patientId, row]));
}

/** What a patient comes for, in short. */
export type ComesFor = {
  /** Their open complaints, the newest first; the newest of all where none is open. */
  readonly complaint: string;
  readonly isOpen: boolean;
  /** The first day of the longest open one; of the newest where none is open. */
  readonly from: LocalDate;
};

/** What each of these patients comes for. */
export async function comesForOf(
  clinicId: ClinicId,
  patientIds: readonly string[],
): Promise<ReadonlyMap<string, ComesFor>> {
  const rows = await episodes(ofPatients(clinicId, patientIds));
  return rollup(
    rows,
    (own): ComesFor => {
      const open = own.filter(({ closedOn }) => closedOn === null);
      const shown = open.length > 0 ? open : own.slice(0, 1);
      return {
        complaint: shown.map(({ complaint }) => complaint).join(' · '),
        isOpen: open.length > 0,
        from: (shown.at(-1) as Episode).openedOn,
      };
    },
    ({ patientId }) => patientId,
  );
}

const episodes = prepared<OfPatients, Episode>((db) =>
  db
    .select()
    .from(episode)
    .where(aboutThese(episode))
    .orderBy(desc(episode.openedOn), desc(sql`rowid`))
    .limit(LIST_BOUNDS.newestOfEach)
    .prepare(),
);
