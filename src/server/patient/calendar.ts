import { later } from '@/core/schedule';
import { sayToPatient } from '@/catalogue';
import { type WallMinute, instantAt } from '@/core/schedule';
import { MINUTE_MS, addDays } from '@/core/units';
import {
  type Patient,
  audit,
  clinicById,
  insertCalendarLink,
  patientByCalendar,
  revokeCalendarLinks,
  write,
} from '@/db';
import { type PatientHere, actorOf, stillHolds } from '../access';
import { calendarTime, newCalendar, newEvent } from '../calendar-file';
import { now } from '../clock';
import { LINK_GONE, NOT_FOUND, Problem } from '../problem';
import { languageFor } from '../languages';
import { factsOf, todayOf, zoneOf } from '../programme-facts';
import { hashToken, randomToken } from '../secrets';
import { layoutOf, momentsOf } from './day-moments';

/** How far a calendar reaches: forward, and back, so that what fell out is taken out, in days. */
const DAYS_AHEAD = 28;
const DAYS_BACK = 2;

/** Makes the address of a patient's calendar, and ends the one before. It is told once. */
export async function issueCalendar(here: PatientHere): Promise<{ token: string }> {
  const token = randomToken();
  const at = now();
  const { clinicId, id: patientId } = here;
  const id = crypto.randomUUID();
  await write(() => [
    stillHolds(here),
    revokeCalendarLinks(clinicId, patientId, at),
    insertCalendarLink({ clinicId, id, patientId, tokenHash: hashToken(token), createdAt: at }),
    audit({
      clinicId,
      at,
      actor: actorOf(here),
      verb: 'issued',
      subject: { kind: 'calendar link', id },
    }),
  ]);
  return { token };
}

/** The calendar behind an address; a problem when there is none. */
export async function calendarBehind(token: string): Promise<string> {
  const patient = await patientByCalendar(hashToken(token));
  if (!patient) throw new Problem(404, LINK_GONE);
  return calendarOf(patient);
}

/**
 * A patient's sessions of the coming weeks as iCalendar (RFC 5545): one event each, at its instant in
 * UTC, so that a change of clocks or zones moves nothing. Its UID is made of patient, day and session,
 * and its SEQUENCE grows with the programme's version: a subscription follows every change, and a
 * session that fell out is sent as cancelled. It says when, never what hurts.
 */
export async function calendarOf(patient: Patient): Promise<string> {
  const today = todayOf(patient);
  const [facts] = await factsOf(patient.clinicId, [patient], today, today);
  const [layout, clinic] = await Promise.all([layoutOf(patient), clinicById(patient.clinicId)]);
  if (!facts || !clinic) throw new Problem(404, NOT_FOUND);
  const zone = zoneOf(patient);
  const language = languageFor(patient);
  const calendar = newCalendar('Sessions', sayToPatient(language, 'today.exercises'));
  const sequence = Math.max(0, ...facts.versions.map(({ number }) => number));
  for (let ahead = -DAYS_BACK; ahead <= DAYS_AHEAD; ahead += 1) {
    const date = addDays(today, ahead);
    const due = momentsOf(facts, date, layout).filter(({ kind }) => kind === 'session');
    const before = cancelledOn(facts, date, layout, new Set(due.map(({ key }) => key)));
    for (const { moment, cancelled } of [
      ...due.map((moment) => ({ moment, cancelled: false })),
      ...before.map((moment) => ({ moment, cancelled: true })),
    ]) {
      const event = newEvent(`${patient.id}.${date}.${moment.key}@dry-lantern`, sequence);
      const start = instantAt(zone, date, moment.at as WallMinute);
      const end = later(start, moment.minutes * MINUTE_MS);
      event.updatePropertyWithValue('dtstart', calendarTime(start));
      event.updatePropertyWithValue('dtend', calendarTime(end));
      event.updatePropertyWithValue(
        'summary',
        sayToPatient(language, 'remind.calendar', { session: moment.label }),
      );
      event.updatePropertyWithValue('description', clinic.name);
      event.updatePropertyWithValue('status', cancelled ? 'CANCELLED' : 'CONFIRMED');
      event.updatePropertyWithValue('transp', 'TRANSPARENT');
      calendar.addSubcomponent(event);
    }
  }
  return `${calendar.toString()}\r\n`;
}

type Facts = Awaited<ReturnType<typeof factsOf>>[number];

/** Sessions that the version before had on this date, or a pause took out, and that are not there now. */
function cancelledOn(
  facts: Facts,
  date: ReturnType<typeof todayOf>,
  layout: Awaited<ReturnType<typeof layoutOf>>,
  kept: ReadonlySet<string>,
) {
  const earlier = facts.versions.slice(0, -1);
  const asked = [
    momentsOf({ ...facts, pauses: [] }, date, layout),
    momentsOf({ ...facts, versions: earlier, pauses: [] }, date, layout),
  ].flat();
  const seen = new Set(kept);
  return asked.filter(({ key, kind }) => {
    if (kind !== 'session' || seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}
