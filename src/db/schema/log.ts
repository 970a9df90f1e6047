import {
  foreignKey,
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
} from 'drizzle-orm/sqlite-core';
import { sql } from 'drizzle-orm';
import { LOOKS, StoredEventRecord, TOLD_HOW, StoredDone, StoredReport } from '@/core/records';
import { ALERT_KINDS } from '@/core/triage';
import type { ClinicId, MemberId, PatientId, ProgrammeId } from '@/core/units';
import { date, inEpisode, instant, json } from './columns';
import { clinic, patient } from './people';

/**
 * What a patient's device tells of a session, event by event. Append-only: the id is made on the
 * device, so that the same event arriving twice changes nothing.
 */
export const sessionEvent = sqliteTable(
  'session_event',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    id: text('id').notNull(),
    sessionId: text('session_id').notNull(),
    /** Which session of the day, as the schedule names it. */
    sessionKey: text('session_key').notNull(),
    programmeId: text('programme_id').$type<ProgrammeId>().notNull(),
    version: integer('version').notNull(),
    /** The day in the patient's zone, fixed when the session's first event was taken in. */
    localDate: date('local_date').notNull(),
    body: json('body', 'an event of a session', StoredEventRecord).notNull(),
    payloadHash: text('payload_hash').notNull(),
    /** The device's own clock when it happened. */
    deviceAt: integer('device_at').notNull(),
    /** Server's clock less device's clock when it was sent, in milliseconds. */
    skewMs: integer('skew_ms').notNull(),
    /** Milliseconds since the session began, by a clock nobody can set. */
    offsetMs: integer('offset_ms').notNull(),
    receivedAt: instant('received_at').notNull(),
    /** Who at the clinic wrote it down as the patient told it; null where a device told it. */
    writtenBy: text('written_by').$type<MemberId>(),
    writtenHow: text('written_how', { enum: TOLD_HOW }),
    ...inEpisode(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.patientId, t.id] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    index('session_event_day').on(t.clinicId, t.patientId, t.localDate),
    index('session_event_session').on(t.clinicId, t.patientId, t.sessionId),
  ],
);

/** The same id with other content: kept for a person to look at, never dropped. */
export const logConflict = sqliteTable(
  'log_conflict',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    id: text('id').notNull(),
    payloadHash: text('payload_hash').notNull(),
    payload: text('payload').notNull(),
    receivedAt: instant('received_at').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.patientId, t.id, t.payloadHash] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
  ],
);

/**
 * What was done on a day, folded from its events so that long lists need not read them.
 * A test holds it equal to recomputation.
 */
export const dayDone = sqliteTable(
  'day_done',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    localDate: date('local_date').notNull(),
    /** Shares by lineage and session. */
    done: json('done', 'what was done on a day', StoredDone).notNull(),
    /** Sessions that count as done. */
    sessionsDone: integer('sessions_done').notNull(),
    /** Pain after the day's last session, 0–10. */
    pain: real('pain'),
    /** What was told of the day. */
    report: json('report', 'what was told of a day', StoredReport)
      .notNull()
      .default(sql`'{}'`),
    /** How many events it is folded from. */
    events: integer('events').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.patientId, t.localDate] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
  ],
);

export const alert = sqliteTable(
  'alert',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    id: text('id').notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    kind: text('kind', {
      enum: ALERT_KINDS,
    }).notNull(),
    createdAt: instant('created_at').notNull(),
    acknowledgedBy: text('acknowledged_by'),
    acknowledgedAt: instant('acknowledged_at'),
    /** When nobody had taken it for the clinic's time, and it went to the lead. */
    escalatedAt: instant('escalated_at'),
    ...inEpisode(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    index('alert_open').on(t.clinicId, t.acknowledgedAt, t.patientId),
    index('alert_patient').on(t.clinicId, t.patientId, t.createdAt),
  ],
);

/** Who did what to which record: ids and verbs only, never words or numbers. Append-only. */
export const auditEvent = sqliteTable(
  'audit_event',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    clinicId: text('clinic_id')
      .$type<ClinicId>()
      .notNull()
      .references(() => clinic.id),
    at: instant('at').notNull(),
    actorKind: text('actor_kind', { enum: ['member', 'patient', 'system', 'key'] }).notNull(),
    actorId: text('actor_id').notNull(),
    verb: text('verb').notNull(),
    subjectKind: text('subject_kind').notNull(),
    subjectId: text('subject_id').notNull(),
    /** Names the session it was done in; nobody can sign in with it. Empty where there was none. */
    session: text('session').notNull().default(''),
  },
  (t) => [
    index('audit_event_at').on(t.clinicId, t.at),
    index('audit_event_actor').on(t.clinicId, t.actorId, t.id),
    index('audit_event_subject').on(t.clinicId, t.subjectId, t.id),
  ],
);

/**
 * Who looked into which file, or took a document out of it. Append-only. It outlives the patient: who
 * looked into a file that was erased stays told.
 */
export const fileLook = sqliteTable(
  'file_look',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    at: instant('at').notNull(),
    memberId: text('member_id').notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    what: text('what', { enum: LOOKS }).notNull(),
    /** Names the session it was seen in; nobody can sign in with it. */
    session: text('session').notNull(),
  },
  (t) => [
    index('file_look_patient').on(t.clinicId, t.patientId, t.id),
    index('file_look_clinic').on(t.clinicId, t.id),
  ],
);

/** One link of the chain over everything that is append-only here: what is changed or gone shows. */
export const auditSeal = sqliteTable('audit_seal', {
  id: integer('id').primaryKey(),
  at: instant('at').notNull(),
  /** The newest event and look it covers. */
  throughEvent: integer('through_event').notNull(),
  throughLook: integer('through_look').notNull(),
  /** SHA-256 over the seal before and every row it covers. */
  hash: text('hash').notNull(),
});

/**
 * Never holds a row. Inserting (name, 0) fails the whole batch it stands in, inserting (name, 1)
 * does nothing: a condition that must still be true when the batch is carried out.
 */
export const guard = sqliteTable('guard', {
  name: text('name').notNull(),
  holds: integer('holds').notNull(),
});

/** Which process does a piece of work in the background just now, and until when nobody else does. */
export const lease = sqliteTable('lease', {
  name: text('name').primaryKey(),
  holder: text('holder').notNull(),
  until: instant('until').notNull(),
});
