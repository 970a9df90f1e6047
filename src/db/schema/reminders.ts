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
import { clinic, patient } from './people';
import { MAIL_SECURITY } from '@/core/records';
import { CHANNELS, NOT_SENT } from '@/core/reminders';

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

/** A clinic's own mail server; without a row, or while it is off, the stand-in takes what is to be sent. */
export const mailServer = sqliteTable('mail_server', {
  clinicId: text('clinic_id')
    .$type<ClinicId>()
    .primaryKey()
    .references(() => clinic.id),
  on: integer('is_on', { mode: 'boolean' }).notNull(),
  host: text('host').notNull(),
  port: integer('port').notNull(),
  security: text('security', { enum: MAIL_SECURITY }).notNull(),
  user: text('user').notNull(),
  /** Sent to the mail server alone, and shown to nobody. */
  password: text('password').notNull(),
  from: text('from_address').notNull(),
  mostADay: integer('most_a_day').notNull(),
  /** Signs the links by which patients stop the mails. */
  stopKey: text('stop_key').notNull(),
  updatedAt: instant('updated_at').notNull(),
});

/** A patient who stopped the mails by the link in one; until they ask for them anew on the phone. */
export const mailStop = sqliteTable(
  'mail_stop',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    stoppedAt: instant('stopped_at').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.patientId] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
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
    channel: text('channel', { enum: CHANNELS }).notNull(),
    purpose: text('purpose', { enum: ['session', 'posture', 'escalation'] }).notNull(),
    address: text('address').notNull(),
    text: text('text').notNull(),
    state: text('state', { enum: ['waiting', 'sent', 'given up', 'not needed'] }).notNull(),
    attempts: integer('attempts').notNull(),
    /** When it is tried (again). */
    dueAt: instant('due_at').notNull(),
    sentAt: instant('sent_at'),
    /** Why it was not sent; null where it was, or waits. */
    because: text('because', { enum: NOT_SENT }),
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
    // How many left the house today is asked before each mail.
    index('message_sent').on(t.clinicId, t.channel, t.sentAt),
  ],
);
