import { type Language, sayToPatient } from '@/catalogue';
import { type CoverDraft, MOST_DAYS_AWAY } from '@/core/records';
import { type LocalDate, addDays, dateInWords, daysBetween } from '@/core/units';
import {
  type Cover,
  GuardRefused,
  type Patient,
  coversBetween,
  endCover,
  guard,
  insertCover,
  memberById,
  membersOf,
  notCovered,
} from '@/db';
import { dateIn } from '@/core/schedule';
import { type SignedIn, roleSuffices } from './access';
import { clinicOf } from './clinic';
import { now } from './clock';
import { NOT_ALLOWED, NOT_FOUND, Problem } from './problem';
import { todayOf } from './programme-facts';
import { isSameRecord, writeAs } from './visit/write-as';

/** A phone holds a week of days. */
const WEEK = 7;

/** Only the lead writes for somebody else. */
function mayFor(member: SignedIn, memberId: string): void {
  if (memberId !== member.id && !roleSuffices(member.role, 'lead'))
    throw new Problem(403, NOT_ALLOWED);
}

/**
 * Writes down who answers while a practitioner is away.
 *
 * @throws Problem 409 where somebody answers on one of these days already
 */
export async function saveCover(member: SignedIn, draft: CoverDraft): Promise<void> {
  const { clinicId } = member;
  const { id, memberId, coveredBy, from, to } = draft;
  mayFor(member, memberId);
  const [away, covers] = await Promise.all([
    memberById(clinicId, memberId),
    memberById(clinicId, coveredBy),
  ]);
  if (!away) throw new Problem(404, NOT_FOUND);
  if (!covers?.active || covers.role === 'assistant')
    throw new Problem(400, 'Choose a practitioner or lead who can sign in.', ['coveredBy']);
  if (daysBetween(from, to) >= MOST_DAYS_AWAY)
    throw new Problem(400, `At most ${MOST_DAYS_AWAY} days in one go.`, ['to']);
  try {
    await writeAs(member, 'practitioner', {
      verb: 'wrote down who answers for',
      subject: { kind: 'member', id: memberId },
      statements: (at) => [
        guard('room', notCovered(clinicId, away.id, { id, from, to })),
        insertCover({
          clinicId,
          id,
          memberId: away.id,
          coveredBy: covers.id,
          fromDate: from,
          toDate: to,
          authorId: member.id,
          createdAt: at,
          endedAt: null,
        }),
      ],
      isThere: async () =>
        (await coversBetween(clinicId, from, to)).some((one) =>
          isSameRecord(one, { id, coveredBy, memberId, fromDate: from, toDate: to }),
        ),
    });
  } catch (error) {
    if (error instanceof GuardRefused && error.guard === 'room')
      throw new Problem(409, 'Somebody answers on one of these days already. End that first.', [
        'from',
      ]);
    throw error;
  }
}

/** Ends a cover: back earlier, or not away after all. */
export async function finishCover(member: SignedIn, id: string): Promise<void> {
  const { clinicId } = member;
  const today = dateIn((await clinicOf(member)).zone, now());
  const one = (await coversBetween(clinicId, today, LAST_DAY)).find((cover) => cover.id === id);
  // One that is over or was ended is not there any more: ending it again changes nothing.
  if (!one) return;
  mayFor(member, one.memberId);
  await writeAs(member, 'practitioner', {
    verb: 'ended a cover for',
    subject: { kind: 'member', id: one.memberId },
    statements: (at) => [endCover(clinicId, id, at)],
  });
}
const LAST_DAY = '9999-12-31' as LocalDate;

/** A cover with the names of both. */
export type ShownCover = Pick<Cover, 'id' | 'memberId' | 'coveredBy' | 'fromDate' | 'toDate'> & {
  readonly away: string;
  readonly by: string;
};

/** The covers of a clinic from today on, those of now and those to come. */
export async function coversFor(
  member: SignedIn,
): Promise<{ readonly today: LocalDate; readonly covers: readonly ShownCover[] }> {
  const { clinicId } = member;
  const today = dateIn((await clinicOf(member)).zone, now());
  const [covers, members] = await Promise.all([
    coversBetween(clinicId, today, LAST_DAY),
    membersOf(clinicId),
  ]);
  const names = new Map(members.map(({ id, name }) => [id, name]));
  return {
    today,
    covers: covers.map(({ id, memberId, coveredBy, fromDate, toDate }) => ({
      id,
      memberId,
      coveredBy,
      fromDate,
      toDate,
      away: names.get(memberId) ?? '',
      by: names.get(coveredBy) ?? '',
    })),
  };
}

/** Who can answer for a member. */
export async function whoCovers(member: SignedIn) {
  const members = await membersOf(member.clinicId);
  return members
    .filter(({ id, role, active }) => active && role !== 'assistant' && id !== member.id)
    .map(({ id, name }) => ({ id, name }));
}

/** Who answers for the patient's practitioner in the coming days, as the patient reads it; else empty. */
export async function coverInWords(patient: Patient, language: Language): Promise<string> {
  const today = todayOf(patient);
  const covers = await coversBetween(patient.clinicId, today, addDays(today, WEEK));
  const mine = covers.find(({ memberId }) => memberId === patient.practitionerId);
  if (!mine) return '';
  const members = await membersOf(patient.clinicId);
  const nameOf = (id: string) => members.find((one) => one.id === id)?.name ?? '';
  return sayToPatient(language, 'cover', {
    name: nameOf(mine.coveredBy),
    away: nameOf(mine.memberId),
    from: dateInWords(mine.fromDate, language.tag),
    to: dateInWords(mine.toDate, language.tag),
  });
}
