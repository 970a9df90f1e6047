import { and, desc, eq, inArray } from 'drizzle-orm';
import type { ClinicId, EpisodeId, LocalDate, PatientId, VisitId } from '@/core/units';
import type { VisitDeed } from '@/core/visits';
import { LIST_BOUNDS } from '../bounds';
import { read } from '../door';
import {
  fileEntry,
  finding,
  measurement,
  outcomeLetter,
  photo,
  programmeVersion,
  proposalDecision,
  referral,
  screening,
  teachBack,
  visit,
  visitNote,
} from '../schema';

export type VisitRow = typeof visit.$inferSelect;

/** The visits of an episode, the newest first. */
export function visitsOf(
  clinicId: ClinicId,
  patientId: PatientId,
  episodeId: EpisodeId,
): Promise<VisitRow[]> {
  return read((db) =>
    db
      .select()
      .from(visit)
      .where(
        and(
          eq(visit.clinicId, clinicId),
          eq(visit.patientId, patientId),
          eq(visit.episodeId, episodeId),
        ),
      )
      .orderBy(desc(visit.localDate))
      .limit(LIST_BOUNDS.visits),
  );
}

/** Which table tells of which deed. */
const TOLD_IN = [
  ['screened', screening],
  ['measured', measurement],
  ['photographed', photo],
  ['found', finding],
  ['planned', programmeVersion],
  ['taught', teachBack],
  ['decided', proposalDecision],
  ['noted', visitNote],
  ['referred', referral],
  ['wrote a letter', outcomeLetter],
] as const satisfies (readonly [VisitDeed, unknown])[];
const ASKED = ['history', 'goal', 'care', 'home', 'consent'] as const;

/** What was done at each of a patient's visits: a patient's records are few, and each table has its index. */
export async function deedsOf(
  clinicId: ClinicId,
  patientId: PatientId,
): Promise<ReadonlyMap<VisitId, ReadonlySet<VisitDeed>>> {
  const found = new Map<VisitId, Set<VisitDeed>>();
  const note = (deed: VisitDeed, rows: readonly { readonly id: VisitId | null }[]) => {
    for (const { id } of rows) {
      if (id === null) continue;
      const there = found.get(id) ?? new Set();
      there.add(deed);
      found.set(id, there);
    }
  };
  await Promise.all([
    ...TOLD_IN.map(async ([deed, table]) =>
      note(
        deed,
        await read((db) =>
          db
            .selectDistinct({ id: table.visitId })
            .from(table)
            .where(and(eq(table.clinicId, clinicId), eq(table.patientId, patientId)))
            .limit(LIST_BOUNDS.visits),
        ),
      ),
    ),
    read((db) =>
      db
        .selectDistinct({ id: fileEntry.visitId })
        .from(fileEntry)
        .where(
          and(
            eq(fileEntry.clinicId, clinicId),
            eq(fileEntry.patientId, patientId),
            inArray(fileEntry.kind, [...ASKED]),
          ),
        )
        .limit(LIST_BOUNDS.visits),
    ).then((rows) => note('asked', rows)),
  ]);
  return found;
}

/** The visits of a day: one for each complaint that something was recorded of. */
export function visitsOn(
  clinicId: ClinicId,
  patientId: PatientId,
  date: LocalDate,
): Promise<VisitRow[]> {
  return read((db) =>
    db
      .select()
      .from(visit)
      .where(
        and(
          eq(visit.clinicId, clinicId),
          eq(visit.patientId, patientId),
          eq(visit.localDate, date),
        ),
      )
      .limit(LIST_BOUNDS.episodes),
  );
}
