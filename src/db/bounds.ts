import { HOUR_MS, MINUTE_MS } from '@/core/units';
/**
 * How many rows each list is read with at most. A list that meets its bound shows its newest rows, or
 * the first in its order; one page of the record never reads a clinic's whole life.
 */
export const LIST_BOUNDS = {
  clinics: 1000,
  apiKeys: 50,
  covers: 200,
  /** Mails among which one that came back is looked for. */
  mailsLookedThrough: 50_000,
  /** Events of the sessions of one page. */
  eventsOfSessions: 20_000,
  members: 200,
  /** A member's open sessions. */
  sessions: 50,
  exercises: 1000,
  templates: 200,
  deskDraftsBeside: 20,
  /** Patients whose course with one exercise is counted: those given it last. */
  patientsWithExercise: 100,
  /** Patients offered to somebody who types a name. */
  patientsFound: 8,
  /** Episodes whose evidence is read, or reckoned, in one go. */
  evidencePage: 250,
  evidenceReckoned: 4,
  /** Patients that may be the same as a new one. */
  patientsAlike: 50,
  /** Visits of one episode. */
  visits: 200,
  /** Episodes of one patient. */
  episodes: 100,
  versions: 200,
  pauses: 5000,
  /** Events of one patient's day. */
  eventsOfADay: 5000,
  screenings: 50,
  referrals: 200,
  photos: 100,
  papers: 200,
  setUpPhotos: 200,
  markings: 500,
  findings: 300,
  measurements: 4000,
  /** Measurements of all patients of a page together. */
  measurementsTogether: 20_000,
  entries: 200,
  teachings: 100,
  notes: 100,
  letters: 50,
  decisions: 400,
  openAlerts: 500,
  /** The newest row of each of many patients, looked for together. */
  newestOfEach: 20_000,
  /** Changes of some patients' records that are looked through; with more they are read anew. */
  changes: 2000,
  messages: 100,
  /** Phones of one patient that are reminded. */
  phonesReminded: 20,
  auditEvents: 50,
  /** Ids named in one question to the database. */
  idsAtOnce: 500,
  /** Looks into one patient's file. */
  looks: 500,
  /** Rows of the audit shown at once, and in one file. */
  auditPage: 100,
  auditFile: 20_000,
  /** Tombstones read in one go, and shown. */
  erasures: 200,
  /** Records shown that were kept as long as the clinic wants. */
  longUntouched: 200,
  /** Devices of a patient. */
  devices: 50,
  /** Corrections of a patient, and reasons for which closed files were opened. */
  corrections: 100,
  openings: 100,
  /** Clinics in which one address works. */
  accounts: 10,
  /** Rows under one seal. */
  sealed: 500,
  /** Patients whose search text is made in one go at the start. */
  searchMade: 200,
  /** Languages a clinic stands for, each as its texts were. */
  languageChecks: 200,
  /** Rows of the morning list shown at once. */
  triagePage: 50,
} as const;

/** How long a member's session lives: idle, and in all, in milliseconds. */
export const SESSION_LIFE = { idle: 30 * MINUTE_MS, whole: 12 * HOUR_MS } as const;

/** Two processes' clocks may differ by so much; what is further ahead, a wrong clock wrote. */
export const CLOCK_SLACK_MS = 5 * MINUTE_MS;
