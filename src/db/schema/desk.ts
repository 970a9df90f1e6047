import { foreignKey, index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { OwnFigure, StoredOwnExercise, TemplateBody } from '@/core/records';
import type { ClinicId, MemberId, PatientId, ExerciseId } from '@/core/units';
import { instant, json } from './columns';
import { clinic, member, patient } from './people';

/** An exercise of the clinic's own. Versions keep their copy, so that editing it alters nothing sent. */
export const clinicExercise = sqliteTable(
  'clinic_exercise',
  {
    clinicId: text('clinic_id')
      .$type<ClinicId>()
      .notNull()
      .references(() => clinic.id),
    id: text('id').$type<ExerciseId>().notNull(),
    body: json('body', 'an exercise of the clinic’s own', StoredOwnExercise).notNull(),
    authorId: text('author_id').$type<MemberId>().notNull(),
    updatedAt: instant('updated_at').notNull(),
    /** Not offered any more. */
    retiredAt: instant('retired_at'),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({ columns: [t.clinicId, t.authorId], foreignColumns: [member.clinicId, member.id] }),
    index('clinic_exercise_offered').on(t.clinicId, t.retiredAt),
  ],
);

/**
 * How an exercise of the clinic's own is drawn. Kept under its content's id and never changed, so that
 * what was sent is drawn as it was.
 */
export const ownFigure = sqliteTable(
  'own_figure',
  {
    clinicId: text('clinic_id')
      .$type<ClinicId>()
      .notNull()
      .references(() => clinic.id),
    id: text('id').notNull(),
    body: json('body', 'a drawing of the clinic’s own', OwnFigure).notNull(),
    authorId: text('author_id').$type<MemberId>().notNull(),
    createdAt: instant('created_at').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({ columns: [t.clinicId, t.authorId], foreignColumns: [member.clinicId, member.id] }),
  ],
);

/** A programme without a patient, to be applied and then adjusted. */
export const programmeTemplate = sqliteTable(
  'programme_template',
  {
    clinicId: text('clinic_id')
      .$type<ClinicId>()
      .notNull()
      .references(() => clinic.id),
    id: text('id').notNull(),
    name: text('name').notNull(),
    body: json('body', 'a programme template', TemplateBody).notNull(),
    authorId: text('author_id').$type<MemberId>().notNull(),
    createdAt: instant('created_at').notNull(),
    retiredAt: instant('retired_at'),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({ columns: [t.clinicId, t.authorId], foreignColumns: [member.clinicId, member.id] }),
    index('programme_template_offered').on(t.clinicId, t.retiredAt, t.name),
  ],
);

/** A ready programme that a clinic does not offer, or offers again; those without a row are offered. */
export const readyChoice = sqliteTable(
  'ready_choice',
  {
    clinicId: text('clinic_id')
      .$type<ClinicId>()
      .notNull()
      .references(() => clinic.id),
    readyId: text('ready_id').notNull(),
    authorId: text('author_id').$type<MemberId>().notNull(),
    updatedAt: instant('updated_at').notNull(),
    /** Not offered any more; null where it is again. */
    retiredAt: instant('retired_at'),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.readyId] }),
    foreignKey({ columns: [t.clinicId, t.authorId], foreignColumns: [member.clinicId, member.id] }),
  ],
);

/** A member's unsaved desk for a patient: one each, so that nobody's is overwritten by another's. */
export const deskDraft = sqliteTable(
  'desk_draft',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    memberId: text('member_id').$type<MemberId>().notNull(),
    /** The newest version it began from. */
    basedOn: integer('based_on').notNull(),
    /** The desk as the page keeps it, JSON: read by the page alone. */
    body: text('body').notNull(),
    updatedAt: instant('updated_at').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.patientId, t.memberId] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    foreignKey({ columns: [t.clinicId, t.memberId], foreignColumns: [member.clinicId, member.id] }),
  ],
);
