import {
  foreignKey,
  index,
  integer,
  primaryKey,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';
import {
  BandsDraft,
  DEVICE_AGES,
  PatientDetails,
  ROLES,
  SEES,
  StoredDetectable,
  StoredOpeningHours,
  TriageLimitsDraft,
} from '@/core/records';
import { EPISODE_AREAS } from '@/core/measures';
import { SCREENING_LASTS_DAYS } from '@/core/screen';
import type { ClinicId, EpisodeId, LinkId, MemberId, PatientId, VisitId } from '@/core/units';
import { date, instant, json, wallMinute, zone } from './columns';

export const clinic = sqliteTable('clinic', {
  id: text('id').$type<ClinicId>().primaryKey(),
  name: text('name').notNull(),
  /** Shown to patients who are to call. */
  phone: text('phone').notNull(),
  /** The clinic's own words for an emergency, with the local number. */
  emergencyText: text('emergency_text').notNull(),
  /** Dialled by one touch in an emergency; empty where there is none. */
  emergencyNumber: text('emergency_number').notNull().default(''),
  /** Whom a patient calls while the clinic is closed; empty for its own number. */
  afterHoursPhone: text('after_hours_phone').notNull().default(''),
  openingHours: json('opening_hours', 'the clinic’s opening hours', StoredOpeningHours)
    .notNull()
    .default({}),
  /** Who reads what phones tell, and when, in the clinic's own words. */
  readsReports: text('reads_reports').notNull().default(''),
  zone: zone('zone').notNull(),
  /** Days after which a screening asks to be redone. */
  screeningDays: integer('screening_days').notNull().default(SCREENING_LASTS_DAYS),
  /** The clinic's own detectable changes by kind of measurement. */
  detectableChanges: json(
    'detectable_changes',
    'the clinic’s own detectable changes',
    StoredDetectable,
  )
    .notNull()
    .default({}),
  /** The clinic's bands with the forces it measured. */
  bands: json('bands', 'the clinic’s bands', BandsDraft.shape.bands).notNull().default([]),
  /** The clinic's own limits of triage; what is left out is the default. */
  triageLimits: json('triage_limits', 'the clinic’s limits', TriageLimitsDraft.partial())
    .notNull()
    .default({}),
  /** What the clinic does with what it is told, in its own words; empty where it has written none. */
  privacyText: text('privacy_text').notNull().default(''),
  /** Years after the last entry from which a record is offered for erasing; null where it is kept. */
  keepYears: integer('keep_years'),
  /** Days in which a new personal link can be opened on a device. */
  linkDays: integer('link_days').notNull().default(DEVICE_AGES.link),
  /** Days after which a device that was not used is signed out. */
  deviceDays: integer('device_days').notNull().default(DEVICE_AGES.device),
  /** Whether every member signs in with a second factor. */
  factorRequired: integer('factor_required', { mode: 'boolean' }).notNull().default(false),
  createdAt: instant('created_at').notNull(),
});

export const member = sqliteTable(
  'member',
  {
    clinicId: text('clinic_id')
      .$type<ClinicId>()
      .notNull()
      .references(() => clinic.id),
    id: text('id').$type<MemberId>().notNull(),
    name: text('name').notNull(),
    /** Lower case; the sign-in name. */
    email: text('email').notNull(),
    role: text('role', { enum: ROLES }).notNull(),
    passwordHash: text('password_hash').notNull(),
    active: integer('active', { mode: 'boolean' }).notNull().default(true),
    /** Which files an assistant sees: all, or those of the practitioners in `memberSees`. */
    sees: text('sees', { enum: SEES }).notNull().default('all'),
    /** Whether an assistant may issue and end patients' links. */
    issuesLinks: integer('issues_links', { mode: 'boolean' }).notNull().default(true),
    /**
     * The clinic at which they wrote in a record that was taken in; null for the clinic's own members.
     * They are a name beside their words and never sign in.
     */
    fromClinic: text('from_clinic'),
    createdAt: instant('created_at').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    // One address may work in several clinics; which one, the password says.
    uniqueIndex('member_address').on(t.email, t.clinicId),
  ],
);

/** Whose patients' files an assistant sees who does not see all. */
export const memberSees = sqliteTable(
  'member_sees',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    memberId: text('member_id').$type<MemberId>().notNull(),
    practitionerId: text('practitioner_id').$type<MemberId>().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.memberId, t.practitionerId] }),
    foreignKey({ columns: [t.clinicId, t.memberId], foreignColumns: [member.clinicId, member.id] }),
    foreignKey({
      columns: [t.clinicId, t.practitionerId],
      foreignColumns: [member.clinicId, member.id],
    }),
  ],
);

/** A member's second factor: one-time codes of a device of theirs. */
export const memberFactor = sqliteTable(
  'member_factor',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    memberId: text('member_id').$type<MemberId>().notNull(),
    /** What device and server share, base 32. */
    secret: text('secret').notNull(),
    /** When a first code of it was right; null while it is being set up. */
    confirmedAt: instant('confirmed_at'),
    /** The newest period whose code was used: a code works once. */
    lastStep: integer('last_step').notNull().default(0),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.memberId] }),
    foreignKey({ columns: [t.clinicId, t.memberId], foreignColumns: [member.clinicId, member.id] }),
  ],
);

/** Codes for when that device is not at hand; only hashes, and each works once. */
export const memberBackupCode = sqliteTable(
  'member_backup_code',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    memberId: text('member_id').$type<MemberId>().notNull(),
    codeHash: text('code_hash').notNull(),
    usedAt: instant('used_at'),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.memberId, t.codeHash] }),
    foreignKey({ columns: [t.clinicId, t.memberId], foreignColumns: [member.clinicId, member.id] }),
  ],
);

/** A signed-in browser of a member. Only the hash of its cookie is kept. */
export const memberSession = sqliteTable(
  'member_session',
  {
    tokenHash: text('token_hash').primaryKey(),
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    memberId: text('member_id').$type<MemberId>().notNull(),
    createdAt: instant('created_at').notNull(),
    lastSeenAt: instant('last_seen_at').notNull(),
    endedAt: instant('ended_at'),
  },
  (t) => [
    foreignKey({ columns: [t.clinicId, t.memberId], foreignColumns: [member.clinicId, member.id] }),
    index('member_session_member').on(t.clinicId, t.memberId),
  ],
);

/** One-time links by which a member sets a password; only the hash of the token is kept. */
export const memberReset = sqliteTable(
  'member_reset',
  {
    tokenHash: text('token_hash').primaryKey(),
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    memberId: text('member_id').$type<MemberId>().notNull(),
    createdAt: instant('created_at').notNull(),
    /** Used, or ended by a newer one. */
    endedAt: instant('ended_at'),
  },
  (t) => [
    foreignKey({ columns: [t.clinicId, t.memberId], foreignColumns: [member.clinicId, member.id] }),
    index('member_reset_member').on(t.clinicId, t.memberId),
  ],
);

/** Failed attempts at something secret; `what` is a hash, so that no name is kept here. */
export const failedAttempt = sqliteTable(
  'failed_attempt',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    what: text('what').notNull(),
    at: instant('at').notNull(),
  },
  (t) => [index('failed_attempt_what').on(t.what, t.at), index('failed_attempt_at').on(t.at)],
);

/** Where an account was signed in from before: a hash of both, which tells neither. */
export const knownPlace = sqliteTable('known_place', {
  place: text('place').primaryKey(),
  at: instant('at').notNull(),
});

export const patient = sqliteTable(
  'patient',
  {
    clinicId: text('clinic_id')
      .$type<ClinicId>()
      .notNull()
      .references(() => clinic.id),
    id: text('id').$type<PatientId>().notNull(),
    name: text('name').notNull(),
    zone: zone('zone').notNull(),
    /** Minutes of the wall clock. */
    wakeMinute: wallMinute('wake_minute').notNull(),
    sleepMinute: wallMinute('sleep_minute').notNull(),
    /** Minutes a day the patient says they have; null when not asked. */
    minutesADay: integer('minutes_a_day'),
    practitionerId: text('practitioner_id').$type<MemberId>().notNull(),
    /** Asked for before a patient's history is shown on a phone; null where the clinic keeps none. */
    birthDate: date('birth_date'),
    /** The language of the patient's screens and reminders, a BCP 47 tag. */
    language: text('language').notNull().default('en'),
    /** How the clinic reaches the patient; empty where it has written nothing. */
    contact: text('contact').notNull().default(''),
    createdAt: instant('created_at').notNull(),
    /** What the patient is found by (`searchText`); empty until it was made. */
    search: text('search').notNull().default(''),
    /** Since when nobody looks after the patient; null for all others. */
    archivedAt: instant('archived_at'),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({
      columns: [t.clinicId, t.practitionerId],
      foreignColumns: [member.clinicId, member.id],
    }),
    index('patient_name').on(t.clinicId, t.name),
    // Read through for every search: it holds all that a search asks.
    index('patient_search').on(t.clinicId, t.search, t.name, t.practitionerId),
    index('patient_birth').on(t.clinicId, t.birthDate),
  ],
);

/** Who a patient is beside their name, and how they are reached. One row a patient, brought up to date. */
export const patientDetails = sqliteTable(
  'patient_details',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    body: json('body', 'how a patient is reached', PatientDetails).notNull(),
    updatedAt: instant('updated_at').notNull(),
    authorId: text('author_id').$type<MemberId>().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.patientId] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    foreignKey({ columns: [t.clinicId, t.authorId], foreignColumns: [member.clinicId, member.id] }),
  ],
);

/** One complaint, from the first visit to discharge. */
export const episode = sqliteTable(
  'episode',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    id: text('id').$type<EpisodeId>().notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    complaint: text('complaint').notNull(),
    /** What it is mainly of; null where nobody chose. */
    area: text('area', { enum: EPISODE_AREAS }),
    openedOn: date('opened_on').notNull(),
    closedOn: date('closed_on'),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    index('episode_patient').on(t.clinicId, t.patientId),
  ],
);

/**
 * What was done with a patient on one day of an episode: every record of that day names it. Made by
 * the first of them.
 */
export const visit = sqliteTable(
  'visit',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    id: text('id').$type<VisitId>().notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    episodeId: text('episode_id').$type<EpisodeId>().notNull(),
    localDate: date('local_date').notNull(),
    createdAt: instant('created_at').notNull(),
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
    uniqueIndex('visit_day').on(t.clinicId, t.episodeId, t.localDate),
    index('visit_patient').on(t.clinicId, t.patientId, t.localDate),
  ],
);

/** A patient's personal link; only the hash of its token is kept. */
export const patientLink = sqliteTable(
  'patient_link',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    id: text('id').$type<LinkId>().notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    tokenHash: text('token_hash').notNull(),
    createdAt: instant('created_at').notNull(),
    openedAt: instant('opened_at'),
    revokedAt: instant('revoked_at'),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    uniqueIndex('patient_link_token').on(t.tokenHash),
    index('patient_link_patient').on(t.clinicId, t.patientId),
  ],
);

/** A device on which a personal link was opened; it works as long as its link does. */
export const patientDevice = sqliteTable(
  'patient_device',
  {
    tokenHash: text('token_hash').primaryKey(),
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    linkId: text('link_id').$type<LinkId>().notNull(),
    createdAt: instant('created_at').notNull(),
    /** Hash of the proof that the birth date was answered on it; null before. */
    birthProof: text('birth_proof'),
    /** When it was last used, to the hour; null on a device that was not since this is kept. */
    lastSeenAt: instant('last_seen_at'),
    /** When the clinic ended it; null while it holds. */
    endedAt: instant('ended_at'),
    /** Hash of the clinic's privacy notice that was read on it; null where none was. */
    noticeRead: text('notice_read'),
  },
  (t) => [
    foreignKey({
      columns: [t.clinicId, t.linkId],
      foreignColumns: [patientLink.clinicId, patientLink.id],
    }),
    index('patient_device_link').on(t.clinicId, t.linkId),
    index('patient_device_patient').on(t.clinicId, t.patientId, t.createdAt),
  ],
);
