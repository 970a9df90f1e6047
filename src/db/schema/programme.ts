import { foreignKey, index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { z } from 'zod';
import { FlagOverride, SchoolDraft, SetUpRecord, StoredExercise } from '@/core/records';
import { SESSION_NAMES } from '@/core/schedule';
import { atVisit, date, inEpisode, instant, json, sharedJson } from './columns';
import { episode, member, patient } from './people';
import type {
  ClinicId,
  EpisodeId,
  ExerciseId,
  MemberId,
  PatientId,
  ProgrammeId,
} from '@/core/units';

export const programme = sqliteTable(
  'programme',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    id: text('id').$type<ProgrammeId>().notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    episodeId: text('episode_id').$type<EpisodeId>().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    foreignKey({
      columns: [t.clinicId, t.episodeId],
      foreignColumns: [episode.clinicId, episode.id],
    }),
    index('programme_patient').on(t.clinicId, t.patientId),
  ],
);

/** Immutable once written: triggers refuse any change. */
export const programmeVersion = sqliteTable(
  'programme_version',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    programmeId: text('programme_id').$type<ProgrammeId>().notNull(),
    /** 1, 2, 3 … */
    number: integer('number').notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    effectiveFrom: date('effective_from').notNull(),
    reviewOn: date('review_on'),
    /** How often the session's lines are gone through. */
    rounds: integer('rounds').notNull(),
    authorId: text('author_id').$type<MemberId>().notNull(),
    reason: text('reason').notNull(),
    /** The grammar its dose lines are written in. */
    grammar: integer('grammar').notNull(),
    createdAt: instant('created_at').notNull(),
    ...atVisit(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.programmeId, t.number] }),
    foreignKey({
      columns: [t.clinicId, t.programmeId],
      foreignColumns: [programme.clinicId, programme.id],
    }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    foreignKey({ columns: [t.clinicId, t.authorId], foreignColumns: [member.clinicId, member.id] }),
    index('programme_version_patient').on(t.clinicId, t.patientId, t.number),
  ],
);

/** Immutable once written: triggers refuse any change. */
export const programmeLine = sqliteTable(
  'programme_line',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    programmeId: text('programme_id').$type<ProgrammeId>().notNull(),
    number: integer('number').notNull(),
    /** Place in the session, from 0. */
    place: integer('place').notNull(),
    /** The same through all versions of the programme. */
    lineage: text('lineage').notNull(),
    /** Day 1 of the line, kept through all versions. */
    anchor: date('anchor').notNull(),
    exerciseId: text('exercise_id').$type<ExerciseId>().notNull(),
    /** The exercise's wording at the time. */
    exercise: sharedJson('exercise', 'an exercise as it was sent', StoredExercise).notNull(),
    /** The complaint it is for; null in rows from before that was kept: its version's own. */
    ...inEpisode(),
    /** Canonical dose line. */
    dose: text('dose').notNull(),
    /** School and its parameters; null where none was chosen. */
    school: sharedJson('school', 'a line’s school', SchoolDraft),
    /** The part of the day a line done once belongs to. */
    session: text('session', { enum: SESSION_NAMES }),
    /** Why flags were gone against. */
    overrides: json('overrides', 'why a flag was gone against', z.array(FlagOverride))
      .notNull()
      .default([]),
    /** What of its set-up was measured for this patient. */
    setUp: json('set_up', 'a line’s set-up', z.array(SetUpRecord)).notNull().default([]),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.programmeId, t.number, t.place] }),
    foreignKey({
      columns: [t.clinicId, t.programmeId, t.number],
      foreignColumns: [
        programmeVersion.clinicId,
        programmeVersion.programmeId,
        programmeVersion.number,
      ],
    }),
    // Whose programme holds an exercise is asked of a whole clinic.
    index('programme_line_exercise').on(t.clinicId, t.exerciseId, t.programmeId, t.number),
  ],
);

/** Days on which nothing is due. An open pause has no last day yet. */
export const pause = sqliteTable(
  'pause',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    id: text('id').notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    fromDate: date('from_date').notNull(),
    /** Last paused day, included. */
    toDate: date('to_date'),
    cause: text('cause', { enum: ['clinician', 'stop', 'patient'] }).notNull(),
    /** The patient's own reason; empty where the clinic or a stop paused. */
    reason: text('reason').notNull().default(''),
    createdAt: instant('created_at').notNull(),
    endedBy: text('ended_by'),
    endedAt: instant('ended_at'),
    ...inEpisode(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    index('pause_patient').on(t.clinicId, t.patientId, t.fromDate),
  ],
);
