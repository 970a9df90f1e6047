import type { SentLine, SentVersion } from '@/core/programme';
import {
  ENGLISH,
  type Language,
  patientWords,
  sayPhrases,
  sayToPatient,
  stopSigns,
} from '@/catalogue';
import { SESSION_DONE_FROM } from '@/core/adherence';
import { figureOf } from '@/catalogue/figures';
import { describeFigure } from '@/core/figure';
import { NOTHING_DONE } from '@/core/history';
import { readDose } from '@/core/dose';
import {
  PACK_FORMAT,
  type PackDay,
  type PackLine,
  type PackSession,
  type PatientPack,
} from '@/core/exchange';
import { type DaySession, sessionsOn, timesPerDay, versionOn } from '@/core/schedule';
import { sessionSeconds, sessionTimeline } from '@/core/timeline';
import { type LocalDate, addDays } from '@/core/units';
import { clinicById, pausesOf } from '@/db';
import type { PatientHere } from './access';
import { now } from './clock';
import { languageFor } from './languages';
import { NOT_FOUND, Problem } from './problem';
import { asksForOwnScreening } from './visit/screening';
import { type DayLayout, layoutOf, momentsOf } from './patient/day-moments';
import { packPicture } from './patient/figure-file';
import { slotText } from './patient/slot-text';
import { WEEK_DAYS, askedOf, questionsFor } from './patient-questions';
import { type PatientFacts, factsOf, todayOf } from './programme-facts';
import { ownCues } from './visit/teaching';

/** What a patient sees of their clinic. */
export async function patientClinic(here: PatientHere): Promise<PatientPack['clinic']> {
  const clinic = await clinicById(here.clinicId);
  if (!clinic) throw new Problem(404, NOT_FOUND);
  const { name, phone, emergencyText } = clinic;
  return { name, phone, emergencyText };
}

/** Today and so many more days live on the device. */
const DAYS_AHEAD = 7;

/** The pack for a patient's device: today and the week after it. */
export async function patientPack(here: PatientHere): Promise<PatientPack> {
  const { patient, clinicId } = here;
  const today = todayOf(patient);
  const language = languageFor(patient);
  const [[facts], clinic, pauseRows, asksHealth, cues, asked, layout] = await Promise.all([
    factsOf(clinicId, [patient], addDays(today, -WEEK_DAYS), today),
    patientClinic(here),
    pausesOf(clinicId, [patient.id]),
    asksForOwnScreening(patient),
    ownCues(patient),
    askedOf(patient),
    layoutOf(patient),
  ]);
  if (!facts) throw new Problem(404, NOT_FOUND);
  const done = facts.done.get(today) ?? NOTHING_DONE;
  const shares = new Map(done.lines.map((line) => [line.lineage, line.shares]));
  const doneKeys = new Set(
    done.sessions.filter((s) => s.share >= SESSION_DONE_FROM).map((s) => s.key),
  );
  const used: SentLine[] = [];
  const days = Array.from({ length: DAYS_AHEAD + 1 }, (_, index) =>
    packDay(
      addDays(today, index),
      facts,
      pauseRows,
      used,
      index === 0 ? doneKeys : new Set(),
      layout,
    ),
  );
  const [first, ...others] = days;
  if (!first) throw new Error('no day');
  return {
    format: PACK_FORMAT,
    patientId: patient.id,
    name: patient.name,
    clinic,
    asksHealth,
    zone: patient.zone,
    at: now(),
    lines: used.map((line) => {
      const due = Math.max(1, timesPerDay(line.dose.times, facts.waking).least);
      const sum = (shares.get(line.lineage) ?? []).reduce((t, share) => t + Math.min(1, share), 0);
      return packLine(line, Math.min(1, sum / due), cues.get(line.lineage) ?? [], language);
    }),
    days: [first, ...others],
    ...questionsFor(facts, asked, today),
    stopSigns: stopSigns(language),
    normalSigns: language.texts['sign.normal'],
    caution: language.texts.caution,
    language: language.tag,
    texts: patientWords(language),
  };
}

type PauseRow = Awaited<ReturnType<typeof pausesOf>>[number];

function pausedOn(rows: readonly PauseRow[], date: LocalDate): PackDay['paused'] {
  if (rows.some((pause) => pause.cause === 'stop' && pause.toDate === null)) return 'after a stop';
  const pause = rows.find(
    ({ fromDate, toDate }) => fromDate <= date && (toDate === null || date <= toDate),
  );
  if (!pause) return 'no';
  return pause.cause === 'patient' ? 'by you' : 'by the clinic';
}

/** One day; its lines are added to those the pack carries. */
function packDay(
  date: LocalDate,
  facts: PatientFacts,
  pauses: readonly PauseRow[],
  used: SentLine[],
  doneKeys: ReadonlySet<string>,
  layout: DayLayout,
): PackDay {
  const paused = pausedOn(pauses, date);
  const language = languageFor(facts.patient);
  const version = versionOn(facts.versions, date);
  const day = version && sessionsOn(date, version.lines, facts.waking, version.reviewOn);
  for (const line of version ? usedLines(version, day?.sessions ?? [], day?.asNeeded ?? []) : [])
    if (!used.includes(line)) used.push(line);
  const times = new Map(momentsOf(facts, date, layout).map(({ key, at }) => [key, at]));
  const pack = (session: Pick<DaySession<SentLine>, 'key' | 'lines'>, label: string) =>
    packSession(
      session,
      label,
      used,
      version?.rounds ?? 1,
      doneKeys,
      times.get(session.key) ?? null,
    );
  return {
    date,
    dateText: dateText(date, language),
    paused,
    programme: version && {
      id: version.programmeId,
      version: version.number,
      rounds: version.rounds,
    },
    sessions:
      paused === 'no'
        ? (day?.sessions ?? []).map((session) => pack(session, slotText(session.slot, language)))
        : [],
    extra:
      paused === 'no' && day && day.asNeeded.length > 0
        ? pack({ key: 'as-needed', lines: day.asNeeded }, sayToPatient(language, 'session.needed'))
        : null,
    restText: restText(facts.versions, date, language),
  };
}

function usedLines(
  version: SentVersion,
  sessions: readonly DaySession<SentLine>[],
  asNeeded: readonly SentLine[],
): SentLine[] {
  const due = new Set([...sessions.flatMap((session) => session.lines), ...asNeeded]);
  return version.lines.filter((line) => due.has(line));
}

/** What an exercise needs, with what will do instead: "pad or soft ball, wall". */
export function needsOf({ props }: SentLine['exercise'], language = ENGLISH): string {
  const texts: Readonly<Record<string, string>> = language.texts;
  const said = (prop: string) => texts[`prop.${prop}`] ?? prop;
  const either = (first: string, second: string) =>
    sayToPatient(language, 'player.or', { first, second });
  return props.map(({ prop, orElse }) => [prop, ...orElse].map(said).reduce(either)).join(', ');
}

/** The patient's own reminders stand before the exercise's. */
function packLine(
  line: SentLine,
  share: number,
  own: readonly string[],
  language: Language,
): PackLine {
  const { name, steps, cues, mode, position } = line.exercise;
  const figure = figureOf(line.exerciseId);
  const side = line.dose.side === 'left' ? 'left' : 'right';
  return {
    lineage: line.lineage,
    name,
    steps,
    cues: [...own, ...cues],
    needs: needsOf(line.exercise, language),
    words: sayPhrases(readDose(line.dose, mode), 'patient', language),
    dose: line.dose,
    mode,
    position,
    share,
    figure,
    picture: figure && packPicture(line.exerciseId, side),
    description: figure ? describeFigure(figure) : '',
  };
}

function packSession(
  session: Pick<DaySession<SentLine>, 'key' | 'lines'>,
  label: string,
  used: readonly SentLine[],
  rounds: number,
  doneKeys: ReadonlySet<string>,
  at: number | null,
): PackSession {
  return {
    key: session.key,
    label,
    time: sessionSeconds(sessionTimeline(session.lines, rounds)),
    lines: session.lines.map((line) => used.indexOf(line)),
    done: doneKeys.has(session.key),
    at,
  };
}

function restText(versions: readonly SentVersion[], today: LocalDate, language: Language): string {
  if (versions.length === 0) return sayToPatient(language, 'rest.none');
  const next = versions
    .map((version) => version.effectiveFrom)
    .filter((date) => date > today)
    .sort()[0];
  const begun = versions.some((version) => version.effectiveFrom <= today);
  if (!begun && next)
    return sayToPatient(language, 'rest.begins', { date: dateText(next, language) });
  return sayToPatient(language, 'rest.today');
}

/** A date in words, without a zone: "Monday, 23 November". */
export function dateText(date: LocalDate, { tag } = ENGLISH): string {
  return new Intl.DateTimeFormat(tag === 'en' ? 'en-GB' : tag, {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    timeZone: 'UTC',
  }).format(Date.parse(`${date}T00:00:00Z`));
}
