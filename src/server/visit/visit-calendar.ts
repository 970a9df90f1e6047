import ICAL from 'ical.js';
import { type Instant, type WallMinute, instantAt, later } from '@/core/schedule';
import type { VisitWay } from '@/core/records';
import { MINUTE_MS, type LocalDate, addDays } from '@/core/units';
import {
  endVisitCalendar,
  memberByCalendar,
  nextVisitsFor,
  putVisitCalendar,
  visitCalendarOf,
} from '@/db';
import type { SignedIn } from '../access';
import { calendarTime, newCalendar, newEvent } from '../calendar-file';
import { NOT_FOUND, Problem } from '../problem';
import { hashToken, randomToken } from '../secrets';
import { writeAs } from './write-as';

/** A visit whose length nobody wrote takes so long in a calendar, minutes. Common practice, no source. */
const USUAL_MINUTES = 30;

const WAY_WORDS: Readonly<Record<VisitWay, string>> = {
  'in the room': 'Visit',
  phone: 'Call',
  video: 'Video visit',
  message: 'Write to',
};

/** Makes the address of a member's calendar of next visits, and ends the one before. It is told once. */
export async function issueVisitCalendar(member: SignedIn): Promise<{ token: string }> {
  const token = randomToken();
  const { clinicId, id } = member;
  await writeAs(member, 'practitioner', {
    verb: 'made a calendar address for',
    subject: { kind: 'member', id },
    statements: (at) => [
      putVisitCalendar({ clinicId, memberId: id, tokenHash: hashToken(token), createdAt: at }),
    ],
  });
  return { token };
}

/** Ends a member's address. */
export function finishVisitCalendar(member: SignedIn): Promise<void> {
  const { clinicId, id } = member;
  return writeAs(member, 'practitioner', {
    verb: 'ended the calendar address of',
    subject: { kind: 'member', id },
    statements: () => [endVisitCalendar(clinicId, id)],
  });
}

/** When a member's address was made; null where they have none. */
export function visitCalendarSince(member: SignedIn): Promise<Instant | null> {
  return visitCalendarOf(member.clinicId, member.id);
}

/** @example initials('Wren Tarbuck') // 'W. T.' */
export function initials(name: string): string {
  return name
    .split(/\s+/)
    .filter((part) => part !== '')
    .map((part) => `${[...part][0] ?? ''}.`)
    .join(' ');
}

/**
 * The next visits of a member's patients as iCalendar (RFC 5545). A calendar program is another house: it
 * is told initials and when, never who or what for; the address in it opens the file for who may.
 *
 * @param origin the clinic's own public address
 * @throws Problem 404 for an address that is none, or was ended
 */
export async function visitCalendarBehind(token: string, origin: string): Promise<string> {
  const whose = await memberByCalendar(hashToken(token));
  if (!whose) throw new Problem(404, NOT_FOUND);
  const visits = await nextVisitsFor(whose.clinicId, whose.memberId);
  const calendar = newCalendar('Visits', 'Visits');
  for (const { patientId, name, zone, createdAt, visit } of visits) {
    // A later word on the same visit takes the place of the one before.
    const sequence = Math.floor(createdAt / 1000) % 2 ** 31;
    const event = newEvent(`${patientId}.next-visit@dry-lantern`, sequence);
    if (visit.minute === null) {
      const day = (date: LocalDate) => ICAL.Time.fromDateString(date);
      event.updatePropertyWithValue('dtstart', day(visit.date));
      event.updatePropertyWithValue('dtend', day(addDays(visit.date, 1)));
    } else {
      const start = instantAt(zone, visit.date, visit.minute as WallMinute);
      const end = later(start, USUAL_MINUTES * MINUTE_MS);
      event.updatePropertyWithValue('dtstart', calendarTime(start));
      event.updatePropertyWithValue('dtend', calendarTime(end));
    }
    event.updatePropertyWithValue('summary', `${WAY_WORDS[visit.way]}: ${initials(name)}`);
    event.updatePropertyWithValue('url', `${origin}/patients/${patientId}`);
    calendar.addSubcomponent(event);
  }
  return `${calendar.toString()}\r\n`;
}
