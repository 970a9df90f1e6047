import { CLINIC_CAUTION, NORMAL_SIGNS, STOP_SIGNS, sayPhrases } from '@/catalogue';
import { SESSION_DONE_FROM } from '@/core/adherence';
import { NOTHING_DONE, isPausedOn } from '@/core/history';
import { readDose } from '@/core/dose';
import { PACK_FORMAT, type PackLine, type PackSession, type PatientPack } from '@/core/exchange';
import {
  type DaySession,
  type SessionSlot,
  sessionsOn,
  timesPerDay,
  versionOn,
} from '@/core/schedule';
import { sessionSeconds, sessionTimeline } from '@/core/timeline';
import type { LocalDate } from '@/core/units';
import { clinicById, pausesOf } from '@/db';
import type { PatientHere } from './access';
import { NOT_FOUND, Problem } from './problem';
import { type SentLine, type SentVersion, factsOf, todayOf } from './programme-facts';

/** Today's pack for a patient's device. */
export async function patientPack(here: PatientHere): Promise<PatientPack> {
  const { patient, clinicId } = here;
  const today = todayOf(patient);
  const [[facts], clinic, pauseRows] = await Promise.all([
    factsOf(clinicId, [patient], today, today),
    clinicById(clinicId),
    pausesOf(clinicId, [patient.id]),
  ]);
  if (!facts || !clinic) throw new Problem(404, NOT_FOUND);
  const stopped = pauseRows.some((pause) => pause.cause === 'stop' && pause.toDate === null);
  const paused = stopped
    ? 'after a stop'
    : isPausedOn(facts.pauses, today)
      ? 'by the clinic'
      : 'no';
  const version = versionOn(facts.versions, today);
  const day = version && sessionsOn(today, version.lines, facts.waking, version.reviewOn);
  const done = facts.done.get(today) ?? NOTHING_DONE;
  const shares = new Map(done.lines.map((line) => [line.lineage, line.shares]));
  const used = version ? usedLines(version, day?.sessions ?? [], day?.asNeeded ?? []) : [];
  const lines = used.map((line) => {
    const due = Math.max(1, timesPerDay(line.dose.times, facts.waking).least);
    const sum = (shares.get(line.lineage) ?? []).reduce(
      (total, share) => total + Math.min(1, share),
      0,
    );
    return packLine(line, Math.min(1, sum / due));
  });
  const doneKeys = new Set(
    done.sessions.filter((s) => s.share >= SESSION_DONE_FROM).map((s) => s.key),
  );
  const pack = (session: Pick<DaySession<SentLine>, 'key' | 'lines'>, label: string) =>
    packSession(session, label, used, version?.rounds ?? 1, doneKeys);
  return {
    format: PACK_FORMAT,
    patientId: patient.id,
    name: patient.name,
    clinic: { name: clinic.name, phone: clinic.phone, emergencyText: clinic.emergencyText },
    today,
    dateText: dateText(today),
    paused,
    programme: version && {
      id: version.programmeId,
      version: version.number,
      rounds: version.rounds,
    },
    lines,
    sessions:
      paused === 'no'
        ? (day?.sessions ?? []).map((session) => pack(session, labelOf(session.slot)))
        : [],
    extra:
      paused === 'no' && day && day.asNeeded.length > 0
        ? pack({ key: 'as-needed', lines: day.asNeeded }, 'When you need it')
        : null,
    restText: restText(facts.versions, today),
    stopSigns: STOP_SIGNS,
    normalSigns: NORMAL_SIGNS,
    caution: CLINIC_CAUTION,
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

function packLine(line: SentLine, share: number): PackLine {
  const { name, steps, cues, props, mode, position } = line.exercise;
  const needs = props.map(({ prop, orElse }) => [prop, ...orElse].join(' or ')).join(', ');
  return {
    lineage: line.lineage,
    name,
    steps,
    cues,
    needs,
    words: sayPhrases(readDose(line.dose, mode), 'patient'),
    dose: line.dose,
    mode,
    position,
    share,
  };
}

function packSession(
  session: Pick<DaySession<SentLine>, 'key' | 'lines'>,
  label: string,
  used: readonly SentLine[],
  rounds: number,
  doneKeys: ReadonlySet<string>,
): PackSession {
  return {
    key: session.key,
    label,
    time: sessionSeconds(sessionTimeline(session.lines, rounds)),
    lines: session.lines.map((line) => used.indexOf(line)),
    done: doneKeys.has(session.key),
  };
}

/** What a session is called. */
export function labelOf(slot: SessionSlot): string {
  switch (slot.kind) {
    case 'any':
      return slot.of === 1 ? 'Today’s session' : `Session ${slot.nth} of ${slot.of}`;
    case 'on waking':
      return 'On waking';
    case 'before training':
      return 'Before training';
    case 'after training':
      return 'After training';
    case 'at': {
      const minute = slot.minute % 1440;
      return `At ${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
    }
  }
}

function restText(versions: readonly SentVersion[], today: LocalDate): string {
  if (versions.length === 0) return 'Your clinician has not written your programme yet.';
  const next = versions
    .map((version) => version.effectiveFrom)
    .filter((date) => date > today)
    .sort()[0];
  const begun = versions.some((version) => version.effectiveFrom <= today);
  if (!begun && next) return `Your programme begins on ${dateText(next)}.`;
  return 'A rest day. Nothing is due today.';
}

/** A date in words, without a zone: "Monday, 23 November". */
export function dateText(date: LocalDate): string {
  return new Intl.DateTimeFormat('en-GB', {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    timeZone: 'UTC',
  }).format(Date.parse(`${date}T00:00:00Z`));
}
