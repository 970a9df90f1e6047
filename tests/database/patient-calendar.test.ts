import { issueLink, revokeLink } from '@/server/links';
import { randomUUID } from 'node:crypto';
import ICAL from 'ical.js';
import { type Instant, dateIn } from '@/core/schedule';
import { type PatientHere } from '@/server/access';
import { setClock } from '@/server/clock';
import { calendarBehind, calendarOf, issueCalendar } from '@/server/patient/calendar';
import { pauseMyself } from '@/server/patient/settings';
import { ZONE, device, makePatient, prescribe, today } from '../support/clinic';
import { databaseStage } from '../support/stage';

const stage = databaseStage('patient-calendar');

afterEach(() => setClock(null));

async function patientHere(): Promise<PatientHere> {
  const id = await makePatient(stage.practitioner);
  await prescribe(stage.practitioner, id, [
    { exerciseId: 'tuck-lying', dose: '10x10s gap 5s 2/day daily until review' },
    { exerciseId: 'posture-reset', dose: '60s tuck 10-20% every 2h daily until review' },
  ]);
  return device(stage.practitioner, id);
}

/** Read back by the registry's parser, as a phone's calendar would. */
function eventsIn(text: string) {
  const calendar = new ICAL.Component(ICAL.parse(text) as [string, unknown[], unknown[]]);
  return calendar.getAllSubcomponents('vevent').map((part) => {
    const event = new ICAL.Event(part);
    return {
      uid: event.uid,
      start: event.startDate.toJSDate(),
      minutes: event.duration.toSeconds() / 60,
      sequence: event.sequence,
      status: String(part.getFirstPropertyValue('status')),
      summary: event.summary,
    };
  });
}

describe('a patient’s calendar (RFC 5545, read back with ical.js)', () => {
  it('has every session of the coming weeks, each once, and no word of what hurts', async () => {
    const here = await patientHere();
    const text = await calendarOf(here.patient);
    const events = eventsIn(text).filter(({ status }) => status === 'CONFIRMED');
    const ahead = events.filter(({ start }) => dateIn(ZONE, start.getTime() as Instant) >= today());
    // Two sessions a day for 29 days; posture beats are no appointments.
    expect(ahead).toHaveLength(2 * 29);
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
    expect(text).not.toMatch(/Neck|neck|tuck/i);
    expect(text).toMatch(/^BEGIN:VCALENDAR\r\n/);
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  });

  it('keeps its times of the wall clock when the clocks change (Europe/Lisbon, 2026-10-25)', async () => {
    setClock(() => Date.parse('2026-10-20T08:00:00Z'));
    const here = await patientHere();
    const events = eventsIn(await calendarOf(here.patient));
    const at = (date: string) =>
      events
        .filter(({ start }) => dateIn(ZONE, start.getTime() as Instant) === date)
        .map(({ start }) =>
          new Intl.DateTimeFormat('en-GB', { timeZone: ZONE, timeStyle: 'short' }).format(start),
        )
        .sort();
    expect(at('2026-10-24')).toHaveLength(2);
    expect(at('2026-10-26')).toEqual(at('2026-10-24'));
    const utc = (date: string) =>
      events
        .find(({ start }) => dateIn(ZONE, start.getTime() as Instant) === date)
        ?.start.getUTCHours();
    expect(utc('2026-10-26')).toBe((utc('2026-10-24') ?? 0) + 1);
  });

  it('follows a new version and cancels what fell out', async () => {
    const here = await patientHere();
    const before = eventsIn(await calendarOf(here.patient));
    await prescribe(
      stage.practitioner,
      here.id,
      [{ exerciseId: 'tuck-lying', dose: '10x10s gap 5s 1/day daily until review' }],
      { basedOn: 1, effectiveFrom: today(1) },
    );
    await pauseMyself(here, {
      id: randomUUID(),
      from: today(3),
      to: today(3),
      reason: 'travelling',
    });
    const after = eventsIn(await calendarOf(here.patient));
    const on = (date: string) => after.filter(({ uid }) => uid.includes(date));
    expect(
      on(today(1))
        .map(({ status }) => status)
        .sort(),
    ).toEqual(['CANCELLED', 'CONFIRMED']);
    expect(on(today(3)).every(({ status }) => status === 'CANCELLED')).toBe(true);
    expect(on(today(3)).length).toBeGreaterThan(0);
    expect(Math.min(...after.map(({ sequence }) => sequence))).toBeGreaterThan(
      before[0]?.sequence ?? 9,
    );
    const known = new Set(before.map(({ uid }) => uid));
    expect(on(today(1)).every(({ uid }) => known.has(uid))).toBe(true);
  });

  it('ends with the personal link, whoever ends it', async () => {
    const here = await patientHere();
    const { token } = await issueCalendar(here);
    await revokeLink(stage.practitioner, here.id);
    await expect(calendarBehind(token)).rejects.toMatchObject({ status: 404 });
    const again = await device(stage.practitioner, here.id);
    const second = await issueCalendar(again);
    await issueLink(stage.practitioner, here.id);
    await expect(calendarBehind(second.token)).rejects.toMatchObject({ status: 404 });
  });

  it('is opened by its newest address only', async () => {
    const here = await patientHere();
    const { token } = await issueCalendar(here);
    expect(await calendarBehind(token)).toMatch(/BEGIN:VEVENT/);
    const second = await issueCalendar(here);
    await expect(calendarBehind(token)).rejects.toMatchObject({ status: 404 });
    expect(await calendarBehind(second.token)).toMatch(/BEGIN:VEVENT/);
  });
});
