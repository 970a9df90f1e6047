import { isDeepStrictEqual } from 'node:util';
import { sayToPatient } from '@/catalogue';
import { ASKED_PROPS } from '@/core/exercise';
import type { HomeBody, OwnPause, PatientSettings, RemindersBody } from '@/core/records';
import { addDays } from '@/core/units';
import {
  insertEntry,
  insertOwnPause,
  patientById,
  pausesOf,
  setPatientDay,
  setPatientLanguage,
  startMail,
} from '@/db';
import type { PatientHere } from '../access';
import { ToldProblem } from '../problem';
import { todayOf } from '../programme-facts';
import { isOffered, languageFor, offeredLanguages } from '../languages';
import { pushKeyOf } from '../push/settings';
import { newestEntry } from '../visit/entries';
import { writeAsPatient } from '../visit/write-as';

const NO_REMINDERS: RemindersBody = {
  sessions: false,
  posture: false,
  channel: 'text',
  address: '',
  quiet: { from: 21 * 60, to: 8 * 60 },
};

/** What a patient may set, as it is now. */
export async function settingsOf({ patient }: PatientHere) {
  const [home, reminders] = await Promise.all([
    newestEntry(patient, 'home'),
    newestEntry(patient, 'reminders'),
  ]);
  return {
    minutesADay: patient.minutesADay,
    wakeMinute: patient.wakeMinute,
    sleepMinute: patient.sleepMinute,
    props: home?.body.props ?? [],
    asked: ASKED_PROPS,
    language: languageFor(patient).tag,
    languages: offeredLanguages(),
    reminders: reminders?.body ?? NO_REMINDERS,
    pushKey: await pushKeyOf(patient.clinicId),
  };
}

/** Keeps what a patient set. Home and reminders are entries of the file: nothing is overwritten. */
export async function saveSettings(here: PatientHere, draft: PatientSettings): Promise<void> {
  const { patient, clinicId, id: patientId } = here;
  const [home, reminders] = await Promise.all([
    newestEntry(patient, 'home'),
    newestEntry(patient, 'reminders'),
  ]);
  const { minutesADay, wakeMinute, sleepMinute } = draft;
  const language = isOffered(draft.language) ? draft.language : patient.language;
  const known = new Set<string>(ASKED_PROPS);
  // What the clinic wrote beside the asked props stays.
  const props = [
    ...draft.props.filter((prop) => known.has(prop)),
    ...(home?.body.props ?? []).filter((prop) => !known.has(prop)),
  ];
  const base: HomeBody = home?.body ?? { props: [], weights: [], unit: 'kg', cannot: [], busy: [] };
  const common = {
    clinicId,
    patientId,
    authorId: patientId,
    localDate: todayOf(patient),
  };
  await writeAsPatient(here, {
    verb: 'set the day of',
    subject: { kind: 'patient', id: patientId },
    statements: (at) => [
      setPatientDay(clinicId, patientId, { minutesADay, wakeMinute, sleepMinute, language }),
      ...insertEntry({
        ...common,
        createdAt: at,
        id: draft.id,
        kind: 'home',
        body: { ...base, props },
        supersedes: home?.id ?? null,
      }),
      ...insertEntry({
        ...common,
        createdAt: at,
        id: crypto.randomUUID(),
        kind: 'reminders',
        body: draft.reminders,
        supersedes: reminders?.id ?? null,
      }),
      // Whoever stopped them by the link in a mail and asks for them again wants them.
      ...(draft.reminders.sessions || draft.reminders.posture
        ? [startMail(clinicId, patientId)]
        : []),
    ],
    // The answer of the first time was lost: what was set is what stands.
    isThere: async () => {
      const stored = await patientById(clinicId, patientId);
      return (
        home?.id === draft.id &&
        isDeepStrictEqual(home.body.props, props) &&
        isDeepStrictEqual(reminders?.body, draft.reminders) &&
        stored?.minutesADay === minutesADay &&
        stored.wakeMinute === wakeMinute &&
        stored.sleepMinute === sleepMinute
      );
    },
  });
}

/** The longest pause a patient may take without the clinic, in days. */
const LONGEST_PAUSE = 60;

/** Pauses days the patient is ill or away; the clinic sees it, and they do not count against anybody. */
export async function pauseMyself(here: PatientHere, draft: OwnPause): Promise<void> {
  const today = todayOf(here.patient);
  const language = languageFor(here.patient);
  if (draft.from < addDays(today, -7))
    throw new ToldProblem(400, sayToPatient(language, 'problem.pauseEarly'), ['from']);
  if (draft.to > addDays(draft.from, LONGEST_PAUSE))
    throw new ToldProblem(
      400,
      sayToPatient(language, 'problem.pauseLong', { days: LONGEST_PAUSE }),
      ['to'],
    );
  await writeAsPatient(here, {
    verb: 'paused',
    subject: { kind: 'pause', id: draft.id },
    statements: (at) => [
      insertOwnPause({
        clinicId: here.clinicId,
        id: draft.id,
        patientId: here.id,
        fromDate: draft.from,
        toDate: draft.to,
        cause: 'patient',
        reason: draft.reason,
        createdAt: at,
      }),
    ],
    isThere: async () =>
      (await pausesOf(here.clinicId, [here.id])).some(
        (one) =>
          one.id === draft.id &&
          one.fromDate === draft.from &&
          one.toDate === draft.to &&
          one.reason === draft.reason,
      ),
  });
}

/**
 * A patient chooses the language of everything they read.
 *
 * @throws Problem 400 for a language that is not offered
 */
export async function chooseLanguage(here: PatientHere, language: string): Promise<void> {
  const { patient, clinicId, id } = here;
  if (!isOffered(language))
    throw new ToldProblem(400, sayToPatient(languageFor(patient), 'problem.noLanguage'), [
      'language',
    ]);
  if (patient.language === language) return;
  await writeAsPatient(here, {
    verb: 'set the language of',
    subject: { kind: 'patient', id },
    statements: () => [setPatientLanguage(clinicId, id, language)],
    isThere: async () => (await patientById(clinicId, id))?.language === language,
  });
}
