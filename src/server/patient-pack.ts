import {
  ENGLISH,
  type Language,
  inLanguage,
  patientWords,
  sayToPatient,
  stopSigns,
} from '@/catalogue';
import {
  PACK_FORMAT,
  type PackBeside,
  type PackDay,
  type PackSession,
  type PatientPack,
  type PlainDay,
  type PlainSession,
  type Rest,
  beatOf,
  packDays,
  shareOfDay,
} from '@/core/exchange';
import { openSpans } from '@/core/opening-hours';
import { dateIn } from '@/core/schedule';
import { type LocalDate, addDays, dateInWords, momentsOfWeek } from '@/core/units';
import { clinicById, pausesOf } from '@/db';
import type { PatientHere } from './access';
import { now } from './clock';
import { coverInWords } from './cover';
import { figuresOfLines } from './desk/own-figures';
import { isLanguageChecked } from './checked-languages';
import { languageFor } from './languages';
import { NOT_FOUND, Problem } from './problem';
import { asksForOwnScreening } from './visit/screening';
import { complaintsOf } from './patient/complaints';
import { layoutOf, momentsOf } from './patient/day-moments';
import { packLine } from './patient/pack-line';
import { nextVisitInWords } from './visit/next-visit';
import { setUpPhotos } from './visit/set-up-photos';
import { slotText } from './patient/slot-text';
import { WEEK_DAYS, askedOf, questionsFor } from './patient-questions';
import { factsOf, todayOf } from './programme-facts';
import { ownCues } from './visit/teaching';

/** A phone without a signal knows for so many days when the clinic answers: as long as its days reach. */
const HOURS_DAYS = 8;

/** What keeps a patient safe, in the clinic's language. */
export const BESIDE: PackBeside = {
  language: ENGLISH.tag,
  stopSigns: stopSigns(ENGLISH),
  emergency: ENGLISH.texts['stop.emergencySigns'],
};

/** What a patient sees of their clinic. */
export async function patientClinic(here: PatientHere): Promise<PatientPack['clinic']> {
  const clinic = await clinicById(here.clinicId);
  if (!clinic) throw new Problem(404, NOT_FOUND);
  const { name, phone, emergencyText, emergencyNumber, afterHoursPhone, readsReports } = clinic;
  const open = openSpans(clinic.openingHours, clinic.zone, dateIn(clinic.zone, now()), HOURS_DAYS);
  return {
    name,
    phone,
    emergencyText,
    ...(emergencyNumber === '' ? {} : { emergencyNumber }),
    ...(afterHoursPhone === '' ? {} : { afterHoursPhone }),
    ...(readsReports === '' ? {} : { readsReports }),
    ...(open.length === 0 ? {} : { open, week: momentsOfWeek(languageFor(here.patient).tag) }),
  };
}

/** The pack for a patient's device: today and the week after it. */
export async function patientPack(here: PatientHere): Promise<PatientPack> {
  const { patient, clinicId } = here;
  const today = todayOf(patient);
  const language = languageFor(patient);
  const [[facts], clinic, pauses, asksHealth, cues, asked, layout, nextVisit, cover, isChecked] =
    await Promise.all([
      factsOf(clinicId, [patient], addDays(today, -WEEK_DAYS), today),
      patientClinic(here),
      pausesOf(clinicId, [patient.id]),
      asksForOwnScreening(patient),
      ownCues(patient),
      askedOf(patient),
      layoutOf(patient),
      nextVisitInWords(patient, language),
      coverInWords(patient, language),
      isLanguageChecked(clinicId, language),
    ]);
  if (!facts) throw new Problem(404, NOT_FOUND);
  const timesOn = (date: LocalDate) =>
    new Map(momentsOf(facts, date, layout).map(({ key, at }) => [key, at]));
  const plain = { ...facts, today, pauses };
  const { lines, days } = packDays(plain, timesOn);
  const [figures, photos, complaints] = await Promise.all([
    figuresOfLines(clinicId, lines),
    setUpPhotos(patient),
    complaintsOf(patient, lines),
  ]);
  const [first, ...others] = days;
  return {
    format: PACK_FORMAT,
    patientId: patient.id,
    name: patient.name,
    clinic,
    asksHealth,
    nextVisit,
    cover,
    zone: patient.zone,
    at: now(),
    lines: lines.map((line) =>
      packLine(line, figures(line), {
        photos: photos(line.lineage),
        share: shareOfDay(line, plain),
        own: cues.get(line.lineage) ?? [],
        complaint: complaints.of(line),
        language,
        isChecked,
      }),
    ),
    days: [dayInWords(first, language), ...others.map((day) => dayInWords(day, language))],
    ...asksIn(language, questionsFor(facts, asked, today, complaints.open)),
    stopSigns: stopSigns(language),
    normalSigns: language.texts['sign.normal'],
    caution: language.texts.caution,
    ...(isChecked ? {} : { beside: BESIDE }),
    language: language.tag,
    texts: patientWords(language),
  };
}

/** What is asked, with its exercises named in the patient's language. */
function asksIn(language: Language, asked: ReturnType<typeof questionsFor>): typeof asked {
  const asks = asked.questions.asks?.map((one) => ({
    ...one,
    line: inLanguage(language, one.line),
  }));
  return { ...asked, questions: { ...asked.questions, ...(asks && { asks }) } };
}

/** A day with its names in the patient's language. */
function dayInWords({ sessions, extra, rest, ...day }: PlainDay, language: Language): PackDay {
  const named = ({ slot, ...session }: PlainSession): PackSession => ({
    ...session,
    label: slot ? slotText(slot, language) : sayToPatient(language, 'session.needed'),
  });
  const beats = beatsInWords(sessions, language);
  return {
    ...day,
    dateText: dateInWords(day.date, language.tag),
    sessions: sessions.map(named),
    ...(Object.keys(beats).length === 0 ? {} : { beats }),
    extra: extra && named(extra),
    restText: restText(rest, language),
  };
}

/** "Every 2 hours", by the minutes between two of its sessions. */
function beatsInWords(
  sessions: readonly PlainSession[],
  language: Language,
): NonNullable<PackDay['beats']> {
  const beats = sessions.flatMap((session) => beatOf(session) ?? []);
  return Object.fromEntries(
    beats.map((minutes) => [
      minutes,
      minutes % 60 === 0
        ? sayToPatient(language, 'today.everyHours', { hours: minutes / 60 })
        : sayToPatient(language, 'today.everyMinutes', { minutes }),
    ]),
  );
}

function restText(rest: Rest, language: Language): string {
  switch (rest.kind) {
    case 'no programme':
      return sayToPatient(language, 'rest.none');
    case 'begins':
      return sayToPatient(language, 'rest.begins', { date: dateInWords(rest.on, language.tag) });
    case 'rest day':
      return sayToPatient(language, 'rest.today');
  }
}
