import { foreignKey, index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import {
  KeptFields,
  NoteRecord,
  OWN_DRAFT_KINDS,
  TaughtRecord,
  VISIT_DRAFT_KINDS,
} from '@/core/records';
import type { ClinicId, MemberId, PatientId, ProgrammeId } from '@/core/units';
import { atVisit, date, instant, json } from './columns';
import { member, patient } from './people';
import { programmeVersion } from './programme';

/** What was said, shown and checked at a teaching, signed. Rows are never changed. */
export const teachBack = sqliteTable(
  'teach_back',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    id: text('id').notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    programmeId: text('programme_id').$type<ProgrammeId>().notNull(),
    version: integer('version').notNull(),
    localDate: date('local_date').notNull(),
    body: json('body', 'a teaching', TaughtRecord).notNull(),
    /** Who signed. */
    authorId: text('author_id').$type<MemberId>().notNull(),
    createdAt: instant('created_at').notNull(),
    ...atVisit(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    foreignKey({
      columns: [t.clinicId, t.programmeId, t.version],
      foreignColumns: [
        programmeVersion.clinicId,
        programmeVersion.programmeId,
        programmeVersion.number,
      ],
    }),
    foreignKey({ columns: [t.clinicId, t.authorId], foreignColumns: [member.clinicId, member.id] }),
    index('teach_back_patient').on(t.clinicId, t.patientId, t.createdAt),
  ],
);

/** A signed note of a visit. Rows are never changed; a later note stands beside an earlier one. */
export const visitNote = sqliteTable(
  'visit_note',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    id: text('id').notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    localDate: date('local_date').notNull(),
    /** The four parts. */
    body: json('body', 'a visit note', NoteRecord).notNull(),
    authorId: text('author_id').$type<MemberId>().notNull(),
    createdAt: instant('created_at').notNull(),
    ...atVisit(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    foreignKey({ columns: [t.clinicId, t.authorId], foreignColumns: [member.clinicId, member.id] }),
    index('visit_note_patient').on(t.clinicId, t.patientId, t.createdAt),
  ],
);

/** What a member has begun and not signed: one each, so that nobody's is overwritten. */
export const visitDraft = sqliteTable(
  'visit_draft',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    memberId: text('member_id').$type<MemberId>().notNull(),
    kind: text('kind', { enum: VISIT_DRAFT_KINDS }).notNull(),
    body: text('body').notNull(),
    updatedAt: instant('updated_at').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.patientId, t.memberId, t.kind] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    foreignKey({ columns: [t.clinicId, t.memberId], foreignColumns: [member.clinicId, member.id] }),
  ],
);

/** A form that a member has begun and that belongs to no patient yet: one of each kind. */
export const ownDraft = sqliteTable(
  'own_draft',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    memberId: text('member_id').$type<MemberId>().notNull(),
    kind: text('kind', { enum: OWN_DRAFT_KINDS }).notNull(),
    fields: json('fields', 'a form that was begun', KeptFields).notNull(),
    updatedAt: instant('updated_at').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.memberId, t.kind] }),
    foreignKey({ columns: [t.clinicId, t.memberId], foreignColumns: [member.clinicId, member.id] }),
  ],
);
