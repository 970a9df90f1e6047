import {
  foreignKey,
  index,
  integer,
  primaryKey,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';
import type { ClinicId, PatientId } from '@/core/units';
import { instant } from './columns';
import { patient } from './people';

/** The address of a patient's calendar; only the hash of its token is kept. */
export const calendarLink = sqliteTable(
  'calendar_link',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    id: text('id').notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    tokenHash: text('token_hash').notNull(),
    createdAt: instant('created_at').notNull(),
    revokedAt: instant('revoked_at'),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    uniqueIndex('calendar_link_token').on(t.tokenHash),
    index('calendar_link_patient').on(t.clinicId, t.patientId),
  ],
);

/** Something to be sent, or sent, through a stand-in: it says when, never what hurts. An escalation goes to the lead. */
export const message = sqliteTable(
  'message',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    /** Made of patient, day and purpose, so that the same reminder is never there twice. */
    id: text('id').notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    channel: text('channel', { enum: ['text', 'e-mail'] }).notNull(),
    purpose: text('purpose', { enum: ['session', 'posture', 'escalation'] }).notNull(),
    address: text('address').notNull(),
    text: text('text').notNull(),
    state: text('state', { enum: ['waiting', 'sent', 'given up', 'not needed'] }).notNull(),
    attempts: integer('attempts').notNull(),
    /** When it is tried (again). */
    dueAt: instant('due_at').notNull(),
    sentAt: instant('sent_at'),
    createdAt: instant('created_at').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    index('message_due').on(t.state, t.dueAt),
    index('message_patient').on(t.clinicId, t.patientId, t.createdAt),
  ],
);
