import {
  blob,
  foreignKey,
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';
import { z } from 'zod';
import type { MeasureKindId } from '@/core/measures';
import {
  FILE_BODIES,
  FINDING_DECISIONS,
  type FileEntryKind,
  MarkingDraft,
  StoredAnswers,
  StoredDetails,
  StoredPrecautions,
} from '@/core/records';
import { SCREENING_OUTCOMES } from '@/core/screen';
import { REPEATED_MOVEMENTS } from '@/core/symptoms';
import type { ClinicId, AuthorId, PatientId, PhotoId, ReferralId, ScreeningId } from '@/core/units';
import { atVisit, date, instant, json } from './columns';
import { patient } from './people';

/** Every table of a visit: its clinic, its own id, its patient. Rows are never changed. */
const record = () => ({
  clinicId: text('clinic_id').$type<ClinicId>().notNull(),
  id: text('id').notNull(),
  patientId: text('patient_id').$type<PatientId>().notNull(),
  createdAt: instant('created_at').notNull(),
  /** A member, or the patient where `byPatient` says so. */
  authorId: text('author_id').$type<AuthorId>().notNull(),
  ...atVisit(),
});

const ofPatient = (t: { clinicId: never; patientId: never }) =>
  foreignKey({
    columns: [t.clinicId, t.patientId],
    foreignColumns: [patient.clinicId, patient.id],
  });

/** Answers with what they came to at the time; a new set of rules never alters it. */
export const screening = sqliteTable(
  'screening',
  {
    ...record(),
    byPatient: integer('by_patient', { mode: 'boolean' }).notNull(),
    /** The patient's own answers that this one confirms. */
    fromId: text('from_id'),
    localDate: date('local_date').notNull(),
    answers: json('answers', 'the answers of a screening', StoredAnswers).notNull(),
    rulesVersion: integer('rules_version').notNull(),
    outcome: text('outcome', {
      enum: SCREENING_OUTCOMES,
    }).notNull(),
    /** The precautions it names. */
    precautions: json('precautions', 'the precautions of a screening', StoredPrecautions).notNull(),
    /** Set when a practitioner stands behind it. */
    confirmedBy: text('confirmed_by'),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    ofPatient(t as never),
    index('screening_patient').on(t.clinicId, t.patientId, t.createdAt),
  ],
);

/** What a practitioner did about a screening that blocks prescribing, and why. */
export const screeningDecision = sqliteTable(
  'screening_decision',
  {
    ...record(),
    screeningId: text('screening_id').$type<ScreeningId>().notNull(),
    action: text('action').notNull(),
    what: text('what').notNull(),
    why: text('why').notNull(),
    mayPrescribe: integer('may_prescribe', { mode: 'boolean' }).notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({
      columns: [t.clinicId, t.screeningId],
      foreignColumns: [screening.clinicId, screening.id],
    }),
    index('screening_decision_screening').on(t.clinicId, t.screeningId, t.createdAt),
    index('screening_decision_patient').on(t.clinicId, t.patientId),
  ],
);

export const referral = sqliteTable(
  'referral',
  {
    ...record(),
    screeningId: text('screening_id').$type<ScreeningId>().notNull(),
    to: text('to').notNull(),
    text: text('text').notNull(),
    localDate: date('local_date').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({
      columns: [t.clinicId, t.screeningId],
      foreignColumns: [screening.clinicId, screening.id],
    }),
    index('referral_patient').on(t.clinicId, t.patientId, t.createdAt),
  ],
);

/** A referral is open until one of these stands beside it. */
export const referralAnswer = sqliteTable(
  'referral_answer',
  {
    ...record(),
    referralId: text('referral_id').$type<ReferralId>().notNull(),
    answeredOn: date('answered_on').notNull(),
    text: text('text').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({
      columns: [t.clinicId, t.referralId],
      foreignColumns: [referral.clinicId, referral.id],
    }),
    index('referral_answer_referral').on(t.clinicId, t.referralId),
  ],
);

/** History, consent, goals and other care: dated, and superseded instead of changed. */
export const fileEntry = sqliteTable(
  'file_entry',
  {
    ...record(),
    kind: text('kind', {
      enum: Object.keys(FILE_BODIES) as [FileEntryKind, ...FileEntryKind[]],
    }).notNull(),
    localDate: date('local_date').notNull(),
    /** The kind's body, JSON read by `db/visit/entries`; null where this row takes one out. */
    body: text('body'),
    supersedes: text('supersedes'),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    ofPatient(t as never),
    index('file_entry_patient').on(t.clinicId, t.patientId, t.kind, t.localDate),
    // Of two corrections of one entry the second is refused.
    uniqueIndex('file_entry_supersedes').on(t.clinicId, t.supersedes),
  ],
);

export const measurement = sqliteTable(
  'measurement',
  {
    ...record(),
    kind: text('kind').notNull(),
    side: text('side', { enum: ['left', 'right'] }),
    position: text('position').notNull(),
    instrument: text('instrument').notNull(),
    unit: text('unit').notNull(),
    trials: json('trials', 'the trials of a measurement', z.array(z.number())).notNull(),
    /** What it comes to; null for a choice. */
    value: real('value'),
    /** Body, note, pain at end, chin jut and re-test; null when this row takes one out. */
    details: json('details', 'a measurement', StoredDetails),
    localDate: date('local_date').notNull(),
    supersedes: text('supersedes'),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    ofPatient(t as never),
    index('measurement_patient').on(t.clinicId, t.patientId, t.kind, t.createdAt),
    uniqueIndex('measurement_supersedes').on(t.clinicId, t.supersedes),
  ],
);

/** A photo's place in the record, from the side or of a set-up; its bytes live apart, so that they can go for good. */
export const photo = sqliteTable(
  'photo',
  {
    ...record(),
    takenOn: date('taken_on').notNull(),
    width: integer('width').notNull(),
    height: integer('height').notNull(),
    /** The line of the programme whose set-up it shows; null for a side photo. */
    lineage: text('lineage'),
    /** A tombstone: the measured angles stay. */
    deletedBy: text('deleted_by'),
    deletedAt: instant('deleted_at'),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    ofPatient(t as never),
    index('photo_patient').on(t.clinicId, t.patientId, t.takenOn),
  ],
);

export const photoBytes = sqliteTable(
  'photo_bytes',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    photoId: text('photo_id').$type<PhotoId>().notNull(),
    bytes: blob('bytes', { mode: 'buffer' }).notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.photoId] }),
    foreignKey({ columns: [t.clinicId, t.photoId], foreignColumns: [photo.clinicId, photo.id] }),
  ],
);

export const photoMarking = sqliteTable(
  'photo_marking',
  {
    ...record(),
    photoId: text('photo_id').$type<PhotoId>().notNull(),
    marks: json('marks', 'the marks of a photo', MarkingDraft.shape.marks).notNull(),
    craniovertebralAngle: real('craniovertebral_angle').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({ columns: [t.clinicId, t.photoId], foreignColumns: [photo.clinicId, photo.id] }),
    index('photo_marking_photo').on(t.clinicId, t.photoId, t.createdAt),
    index('photo_marking_author').on(t.clinicId, t.authorId, t.createdAt),
  ],
);

/** What a clinician said to a finding; the newest for a key counts. */
export const finding = sqliteTable(
  'finding',
  {
    ...record(),
    key: text('key').notNull(),
    decision: text('decision', { enum: FINDING_DECISIONS }).notNull(),
    /** What the table said at the time, so that other numbers ask again; null for an added one. */
    proposed: text('proposed'),
    /**
     * What it is about, as data; the rule is null in rows from before that was kept, and everything
     * then is. See docs/decisions/0026.
     */
    rule: text('rule'),
    measure: text('measure').$type<MeasureKindId>(),
    side: text('side', { enum: ['left', 'right'] }),
    direction: text('direction', { enum: REPEATED_MOVEMENTS }),
    part: text('part'),
    numbers: json('numbers', 'the numbers of a finding', z.record(z.string(), z.number())),
    /** Its words, for people; a clinician may edit them. */
    say: text('say').notNull(),
    towards: text('towards').notNull(),
    source: text('source').notNull(),
    cue: text('cue'),
    reason: text('reason').notNull(),
    localDate: date('local_date').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    ofPatient(t as never),
    index('finding_patient').on(t.clinicId, t.patientId, t.createdAt),
  ],
);
