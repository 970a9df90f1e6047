import { MOVES } from '@/core/progression';
import { ASKED, DECISIONS, StoredLetter, StoredMorningRow } from '@/core/records';
import {
  foreignKey,
  index,
  integer,
  primaryKey,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';
import type { ClinicId, ExerciseId, LocalDate, MemberId, PatientId } from '@/core/units';
import { atVisit, date, instant, json } from './columns';
import { patient } from './people';

const record = () => ({
  clinicId: text('clinic_id').$type<ClinicId>().notNull(),
  id: text('id').notNull(),
  patientId: text('patient_id').$type<PatientId>().notNull(),
  createdAt: instant('created_at').notNull(),
  authorId: text('author_id').$type<MemberId>().notNull(),
});

/** What a clinician said to a proposal. Append-only: the newest for a key and version counts. */
export const proposalDecision = sqliteTable(
  'proposal_decision',
  {
    ...record(),
    ...atVisit(),
    /** The proposal's own key: the same as long as it proposes the same because of the same. */
    key: text('key').notNull(),
    lineage: text('lineage').notNull(),
    /** The newest version when it was decided; a later one holds what was accepted. */
    version: integer('version').notNull(),
    move: text('move', { enum: MOVES }).notNull(),
    exerciseId: text('exercise_id').$type<ExerciseId>().notNull(),
    fromDose: text('from_dose').notNull(),
    /** What had happened when, which the decision is about; null in rows from before it was kept. */
    event: text('event'),
    /** What the patient was asked for; null where nothing. */
    asks: text('asks', { enum: ASKED }),
    decision: text('decision', { enum: DECISIONS }).notNull(),
    /** What the line becomes; null where it is left out, or stays. */
    toDose: text('to_dose'),
    toExerciseId: text('to_exercise_id').$type<ExerciseId>(),
    /** What was proposed and why, in words, as it was shown. */
    why: text('why').notNull(),
    /** Why it was edited or declined. */
    reason: text('reason').notNull(),
    localDate: date('local_date').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    index('proposal_decision_patient').on(t.clinicId, t.patientId, t.createdAt),
    index('proposal_decision_clinic').on(t.clinicId, t.createdAt),
  ],
);

/**
 * Where each patient stands this morning, kept so that long lists need not reckon. Triggers take the
 * row away with every write about the patient; the next list reckons it anew.
 */
export const triageRow = sqliteTable(
  'triage_row',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    /** The patient's day it holds for. */
    forDate: date('for_date').notNull(),
    /** Milliseconds at which it has to be reckoned anew: the patient's next midnight, or an escalation. */
    staleAt: instant('stale_at').notNull(),
    /** 0 call today, 1 decide, 2 steady. */
    level: integer('level').notNull(),
    urgency: integer('urgency').notNull(),
    /** Snoozed or done for today: out of its group. */
    aside: integer('aside', { mode: 'boolean' }).notNull(),
    practitionerId: text('practitioner_id').$type<MemberId>().notNull(),
    name: text('name').notNull(),
    body: json('body', 'a row of the morning list', StoredMorningRow).notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.patientId] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    index('triage_row_order').on(t.clinicId, t.aside, t.level, t.urgency, t.name),
    index('triage_row_stale').on(t.clinicId, t.staleAt),
    index('triage_row_counts').on(t.clinicId, t.practitionerId, t.level, t.aside),
  ],
);

/** What a change tells of where it is no folded day. */
export const ELSE = 'else';

/**
 * What was written of a patient last, for whoever keeps their record in memory: one row for each of their
 * days, and one (`ELSE`) for everything else. Triggers write it with what they tell of, so that nothing can
 * be written without it. Not a history: a later change takes the place of the one before, and old ones go.
 */
export const recordChange = sqliteTable(
  'record_change',
  {
    /** Grows with every change of anybody. */
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    /** A folded day's date, or `ELSE`. */
    what: text('what').$type<LocalDate | typeof ELSE>().notNull(),
  },
  (t) => [uniqueIndex('record_change_patient').on(t.clinicId, t.patientId, t.what)],
);

/**
 * Up to which change they were forgotten, one row: a process that slept meanwhile can tell by it that what it
 * keeps is older than what it could still be told.
 */
export const changesForgotten = sqliteTable('changes_forgotten', {
  id: integer('id').primaryKey(),
  upTo: integer('up_to').notNull(),
});

/** A row of the morning list put aside: done for today, or snoozed until a day, with a reason. */
export const triageMark = sqliteTable(
  'triage_mark',
  {
    ...record(),
    kind: text('kind', { enum: ['done', 'snoozed', 'back'] }).notNull(),
    /** The rule it was put aside for; another rule brings the row back. */
    rule: text('rule').notNull(),
    /** Last day aside, in the patient's zone. */
    until: date('until').notNull(),
    reason: text('reason').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    index('triage_mark_patient').on(t.clinicId, t.patientId, t.createdAt),
  ],
);

/** A letter after a review or at discharge, as it was signed. Append-only. */
export const outcomeLetter = sqliteTable(
  'outcome_letter',
  {
    ...record(),
    ...atVisit(),
    kind: text('kind', { enum: ['review', 'discharge'] }).notNull(),
    /** Every number in it comes from the record at the time. */
    body: json('body', 'a letter', StoredLetter).notNull(),
    localDate: date('local_date').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    index('outcome_letter_patient').on(t.clinicId, t.patientId, t.createdAt),
  ],
);
