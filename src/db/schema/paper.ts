import {
  blob,
  foreignKey,
  index,
  integer,
  primaryKey,
  sqliteTable,
  text,
} from 'drizzle-orm/sqlite-core';
import { PAPER_KINDS, PAPER_TYPES } from '@/core/records';
import type { ClinicId, MemberId, PatientId } from '@/core/units';
import { date, inEpisode, instant } from './columns';
import { member, patient } from './people';

/** A paper that came in: a referral, a report, a letter. Its bytes live apart, so that they can go for good. */
export const paper = sqliteTable(
  'paper',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    id: text('id').notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    createdAt: instant('created_at').notNull(),
    authorId: text('author_id').$type<MemberId>().notNull(),
    kind: text('kind', { enum: PAPER_KINDS }).notNull(),
    receivedOn: date('received_on').notNull(),
    mediaType: text('media_type', { enum: PAPER_TYPES }).notNull(),
    size: integer('size').notNull(),
    /** The practitioner who read it, and when; null while nobody has. */
    readBy: text('read_by'),
    readAt: instant('read_at'),
    /** A tombstone: that there was one stays. */
    deletedBy: text('deleted_by'),
    deletedAt: instant('deleted_at'),
    ...inEpisode(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    foreignKey({ columns: [t.clinicId, t.authorId], foreignColumns: [member.clinicId, member.id] }),
    index('paper_patient').on(t.clinicId, t.patientId, t.receivedOn),
  ],
);

export const paperBytes = sqliteTable(
  'paper_bytes',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    paperId: text('paper_id').notNull(),
    bytes: blob('bytes', { mode: 'buffer' }).notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.paperId] }),
    foreignKey({ columns: [t.clinicId, t.paperId], foreignColumns: [paper.clinicId, paper.id] }),
  ],
);
