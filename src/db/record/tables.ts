import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import * as schema from '../schema';

/**
 * What a patient's whole record is made of, in the order in which it is written: first what others refer
 * to. Every table of a patient stands here or in `NOT_IN_RECORD`; a test holds both against the schema.
 */
export const RECORD_TABLES = {
  patient: schema.patient,
  patientDetails: schema.patientDetails,
  patientCorrection: schema.patientCorrection,
  episode: schema.episode,
  visit: schema.visit,
  programme: schema.programme,
  programmeVersion: schema.programmeVersion,
  programmeLine: schema.programmeLine,
  screening: schema.screening,
  screeningDecision: schema.screeningDecision,
  referral: schema.referral,
  referralAnswer: schema.referralAnswer,
  fileEntry: schema.fileEntry,
  paper: schema.paper,
  photo: schema.photo,
  photoMarking: schema.photoMarking,
  measurement: schema.measurement,
  finding: schema.finding,
  teachBack: schema.teachBack,
  visitNote: schema.visitNote,
  proposalDecision: schema.proposalDecision,
  outcomeLetter: schema.outcomeLetter,
  pause: schema.pause,
  sessionEvent: schema.sessionEvent,
  logConflict: schema.logConflict,
  dayDone: schema.dayDone,
  alert: schema.alert,
} as const satisfies Readonly<Record<string, SQLiteTable>>;
export type RecordTable = keyof typeof RECORD_TABLES;
export type RecordRows = {
  readonly [Table in RecordTable]: (typeof RECORD_TABLES)[Table]['$inferSelect'][];
};
export const RECORD_TABLE_NAMES = Object.keys(RECORD_TABLES) as RecordTable[];

/** What does not leave with a record, and why. */
export const NOT_IN_RECORD: ReadonlyMap<SQLiteTable, string> = new Map<SQLiteTable, string>([
  [schema.triageRow, 'reckoned anew from the record each morning'],
  [schema.recordChange, 'tells one installation what to read anew'],
  [schema.episodeEvidence, 'reckoned from the record, for the clinic that asked for consent'],
  [schema.triageMark, 'how one clinic put a row of its list aside'],
  [schema.message, 'reminders that one installation sent'],
  [schema.mailStop, 'holds for the mails of one installation'],
  [schema.calendarLink, 'a key to one installation'],
  [schema.pushSubscription, 'a phone that one installation reminds'],
  [schema.deskDraft, 'begun and not signed'],
  [schema.visitDraft, 'begun and not signed'],
  [schema.episodeAtHand, 'which complaint one member has before them'],
  [schema.share, 'what one desk showed a phone for a while'],
  [schema.patientDevice, 'a key to one installation'],
  [schema.patientLink, 'a key to one installation'],
  [schema.fileOpening, 'who opened a closed file of one clinic'],
]);
