/** What the tables of a record hold, in words. */
export const RECORD_WORDS: Readonly<Record<string, string>> = {
  patient: 'Who the patient is',
  patientDetails: 'How they are reached',
  patientCorrection: 'What was put right',
  episode: 'Complaints',
  visit: 'Visits',
  programme: 'Programmes',
  programmeVersion: 'Versions of the programme',
  programmeLine: 'Exercises in them',
  screening: 'Screenings',
  screeningDecision: 'Decisions on screenings',
  referral: 'Referrals',
  referralAnswer: 'Answers to referrals',
  fileEntry: 'History, consent, goals, agreements',
  paper: 'Papers that came in',
  photo: 'Photos',
  photoMarking: 'Marks on photos',
  measurement: 'Measures',
  finding: 'Findings',
  teachBack: 'Teachings',
  visitNote: 'Notes',
  proposalDecision: 'Answers to proposals',
  outcomeLetter: 'Letters',
  pause: 'Pauses',
  sessionEvent: 'What the phone told',
  logConflict: 'Told twice and unlike',
  dayDone: 'Days with something done',
  alert: 'Alerts',
};

/** @example recordCount(1) // '1 entry' */
export function recordCount(count: number): string {
  return count === 1 ? '1 entry' : `${count} entries`;
}
