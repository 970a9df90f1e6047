import { randomUUID } from 'node:crypto';
import ICAL from 'ical.js';
import type { NextVisitBody } from '@/core/records';
import { archivePatient } from '@/server/details';
import { saveEntry } from '@/server/visit/entries';
import {
  finishVisitCalendar,
  initials,
  issueVisitCalendar,
  visitCalendarBehind,
  visitCalendarSince,
} from '@/server/visit/visit-calendar';
import { setActive } from '@/server/people';
import { makeClinic, makePatient, member, ownDomain, today } from '../support/clinic';
import { databaseStage } from '../support/stage';

/** A member's next visits for a calendar program. */
const stage = databaseStage('visit-calendar');
const ORIGIN = 'https://clinic.example';
let last: string | null = null;

async function agree(patientId: string, body: Partial<NextVisitBody>): Promise<void> {
  const id = randomUUID();
  await saveEntry(stage.practitioner, {
    id,
    patientId,
    kind: 'next-visit',
    supersedes: last,
    on: today(),
    body: { date: today(9), minute: 630, way: 'in the room', note: 'the left arm', ...body },
  });
  last = id;
}
const events = async (token: string) =>
  new ICAL.Component(ICAL.parse(await visitCalendarBehind(token, ORIGIN)) as never)
    .getAllSubcomponents('vevent')
    .map((one) => new ICAL.Event(one));

it('tells initials and when, never who or what for, and follows what is agreed anew', async () => {
  const id = await makePatient(stage.practitioner, 'Wren Tarbuck');
  await makePatient(stage.lead, 'Of Another');
  await agree(id, {});
  const { token } = await issueVisitCalendar(stage.practitioner);
  const [visit, ...others] = await events(token);
  expect(others).toEqual([]);
  expect(visit?.summary).toBe('Visit: W. T.');
  // 10:30 in Lisbon in winter is 10:30 UTC.
  expect(visit?.startDate.toString()).toMatch(/T(09|10):30:00Z?$/);
  expect(visit?.duration.toString()).toBe('PT30M');
  const text = await visitCalendarBehind(token, ORIGIN);
  expect(text).not.toMatch(/Tarbuck|left arm/);
  expect(text.replaceAll('\r\n ', '')).toContain(`${ORIGIN}/patients/${id}`);
  await agree(id, { minute: null, way: 'phone' });
  const [call] = await events(token);
  expect(call?.uid).toBe(visit?.uid);
  expect(call?.summary).toBe('Call: W. T.');
  expect(call?.startDate.isDate).toBe(true);
  expect(call?.duration.toString()).toBe('P1D');
  await archivePatient(stage.practitioner, { patientId: id, archived: true });
  expect(await events(token)).toEqual([]);
});

it('ends with a new address, by hand, and when the member is shut out', async () => {
  const { token } = await issueVisitCalendar(stage.practitioner);
  const { token: next } = await issueVisitCalendar(stage.practitioner);
  await expect(visitCalendarBehind(token, ORIGIN)).rejects.toMatchObject({ status: 404 });
  await visitCalendarBehind(next, ORIGIN);
  expect(await visitCalendarSince(stage.practitioner)).not.toBeNull();
  await finishVisitCalendar(stage.practitioner);
  expect(await visitCalendarSince(stage.practitioner)).toBeNull();
  await expect(visitCalendarBehind(next, ORIGIN)).rejects.toMatchObject({ status: 404 });
  const { emails } = await makeClinic('shut', ownDomain());
  const [lead, out] = [await member(emails.lead), await member(emails.practitioner)];
  const { token: theirs } = await issueVisitCalendar(out);
  await setActive(lead, out.id, false);
  await expect(visitCalendarBehind(theirs, ORIGIN)).rejects.toMatchObject({ status: 404 });
});

it.each([
  ['Wren Tarbuck', 'W. T.'],
  ['  Ansel  de  Corriwick ', 'A. d. C.'],
  ['נועה כץ', 'נ. כ.'],
  ['', ''],
])('%j is said as %j', (name, said) => expect(initials(name)).toBe(said));

it('takes a visit of later today, and none of yesterday', async () => {
  const patientId = await makePatient(stage.practitioner, 'Wren Today');
  const agreed = (day: number) =>
    saveEntry(stage.practitioner, {
      id: randomUUID(),
      patientId,
      kind: 'next-visit',
      supersedes: null,
      on: today(),
      body: { date: today(day), minute: 1200, way: 'in the room', note: '' },
    });
  await expect(agreed(0)).resolves.toBeUndefined();
  await expect(agreed(-1)).rejects.toMatchObject({ status: 400, at: ['body', 'date'] });
});
