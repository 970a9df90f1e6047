import { foreignKey, index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { CORRECTED, ERASURE_REASONS } from '@/core/records';
import type { ClinicId, MemberId, PatientId } from '@/core/units';
import { instant } from './columns';
import { patient } from './people';

/**
 * An erasure under way. The guards of what is append-only open for the patient it names. No row of it
 * can ever be committed: `open` refers to a row that cannot be, and is looked at when the batch ends.
 * So the guards are open only within the batch that takes the row away again, which wants the
 * tombstone and that the patient is gone (docs/decisions/0045-erasing.md).
 */
export const erasing = sqliteTable('erasing', {
  id: integer('id').primaryKey(),
  clinicId: text('clinic_id').$type<ClinicId>().notNull(),
  patientId: text('patient_id').$type<PatientId>().notNull(),
  open: integer('open').notNull(),
});

/** What stays of an erased patient: that there was one, who erased it, when and why. Append-only. */
export const erasure = sqliteTable(
  'erasure',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    at: instant('at').notNull(),
    memberId: text('member_id').notNull(),
    reason: text('reason', { enum: ERASURE_REASONS }).notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.patientId] }),
    index('erasure_at').on(t.clinicId, t.at),
  ],
);

/** What was put right of who a patient is, with what stood there before. Append-only. */
export const patientCorrection = sqliteTable(
  'patient_correction',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    id: text('id').notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    createdAt: instant('created_at').notNull(),
    authorId: text('author_id').$type<MemberId>().notNull(),
    field: text('field', { enum: CORRECTED }).notNull(),
    before: text('before').notNull(),
    after: text('after').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id, t.field] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    index('patient_correction_patient').on(t.clinicId, t.patientId, t.createdAt),
  ],
);

/** A file that a member opened who does not see it else, and why. Append-only. */
export const fileOpening = sqliteTable(
  'file_opening',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    id: text('id').notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    createdAt: instant('created_at').notNull(),
    authorId: text('author_id').$type<MemberId>().notNull(),
    reason: text('reason').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    index('file_opening_patient').on(t.clinicId, t.patientId, t.createdAt),
    index('file_opening_clinic').on(t.clinicId, t.createdAt),
  ],
);
