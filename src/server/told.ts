import { v5 as uuidFrom } from 'uuid';
import { ENGLISH, sayPhrases, waysOf } from '@/catalogue';
import { readDose } from '@/core/dose';
import { DAY_KEY, placeTold, standingEvents } from '@/core/history';
import type { SentVersion } from '@/core/programme';
import type { StoredEventBody, ToldBackDraft, ToldDraft } from '@/core/records';
import { type WallMinute, instantAt, sessionsOn, versionOn } from '@/core/schedule';
import { adviseOn } from '@/core/symptoms';
import { MINUTE_MS, type LocalDate, addDays } from '@/core/units';
import { type Patient, eventsOfDay } from '@/db';
import { type SignedIn, actorOf, thatMemberMay } from './access';
import { now } from './clock';
import { patientFor } from './people';
import { askedOf, questionsFor } from './patient-questions';
import { complaintsOf } from './patient/complaints';
import { Problem } from './problem';
import { type PatientFacts, factsOf, todayOf, zoneOf } from './programme-facts';
import { type ComingEvent, hashOf, takeInFrom } from './take-in';

/** How far back a day is written down: a sheet of some weeks. */
const OLDEST_DAYS = 60;
const NOON = 720 as WallMinute;

/** What a day asked, and what was told of it so far. */
async function dayOf(patient: Patient, date: LocalDate) {
  const today = todayOf(patient);
  const [[facts], events] = await Promise.all([
    factsOf(patient.clinicId, [patient], addDays(today, -OLDEST_DAYS), today),
    eventsOfDay(patient.clinicId, patient.id, date),
  ]);
  if (!facts) throw new Problem(404, 'There is no such record in your clinic.');
  const version = versionOn(facts.versions, date);
  const day = version && sessionsOn(date, version.lines, facts.waking, version.reviewOn);
  const sessions = [
    ...(day?.sessions ?? []),
    ...(day && day.asNeeded.length > 0 ? [{ key: 'as-needed', lines: day.asNeeded }] : []),
  ].map(({ key, lines }) => ({ key, lineages: lines.map(({ lineage }) => lineage) }));
  return { facts, events, version, sessions, today };
}

/** A day of a patient without a phone, as a form asks for it. */
export async function toldForm(patient: Patient, asked: LocalDate | null) {
  const today = todayOf(patient);
  const earliest = addDays(today, -OLDEST_DAYS);
  const date = asked !== null && asked <= today && asked >= earliest ? asked : today;
  const { events, version, sessions } = await dayOf(patient, date);
  const complaints = await complaintsOf(patient, version?.lines ?? []);
  const standing = standingEvents(events);
  const taken = new Set(
    standing.filter(({ sessionKey }) => sessionKey !== DAY_KEY).map(({ sessionKey }) => sessionKey),
  );
  const free = sessions.filter(({ key }) => !taken.has(key));
  return {
    date,
    today,
    earliest,
    /** Those whose worst pain is told of each; empty where one is treated. */
    complaints: complaints.open,
    hasProgramme: version !== null,
    /** Sessions of this day of which something was told already. */
    toldSessions: taken.size,
    isWrittenDown: standing.some(({ writtenBy }) => writtenBy !== null),
    lines: (version?.lines ?? [])
      .filter(({ lineage }) => sessions.some(({ lineages }) => lineages.includes(lineage)))
      .map((line) => ({
        lineage: line.lineage,
        name: line.exercise.name,
        words: sayPhrases(readDose(line.dose, line.exercise.mode, waysOf(line)), ENGLISH),
        /** How often it may still be written down. */
        room: free.filter(({ lineages }) => lineages.includes(line.lineage)).length,
      })),
  };
}

/**
 * Writes down what a patient told of a day, on a paper sheet or by a call: under the rules of what a
 * device tells, and never taken for it. A sign to stop pauses the programme and tells the clinic.
 *
 * @throws Problem 409 where something finds no session of which nothing was told yet
 */
export async function saveTold(member: SignedIn, draft: ToldDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const { date } = draft;
  const { facts, events, version, sessions, today } = await dayOf(patient, date);
  if (date > today) throw new Problem(400, 'This day is yet to come.', ['date']);
  if (date < addDays(today, -OLDEST_DAYS))
    throw new Problem(400, `A day is written down for ${OLDEST_DAYS} days.`, ['date']);
  if (!version) throw new Problem(409, 'There was no programme on this day yet.', ['date']);
  const mine = (name: string) => uuidFrom(name, draft.id);
  const own = new Set([DAY_KEY, ...sessions.map(({ key }) => key)].map(mine));
  const taken = new Set(
    standingEvents(events)
      .filter(({ sessionId, sessionKey }) => sessionKey !== DAY_KEY && !own.has(sessionId))
      .map(({ sessionKey }) => sessionKey),
  );
  const placed = placeTold(sessions, taken, draft.lines);
  const [beyond] = placed.beyond;
  if (beyond) {
    const line = version.lines.find(({ lineage }) => lineage === beyond.lineage);
    throw new Problem(
      409,
      `${line?.exercise.name ?? 'An exercise'} was written down more often than this day has sessions left. Nothing was saved.`,
      ['lines'],
    );
  }
  const coming = await eventsOf(draft, {
    patient,
    facts,
    version,
    placed: placed.sessions,
    mine,
  });
  if (
    isThereOtherwise(
      coming,
      events.filter(({ sessionId }) => own.has(sessionId)),
    )
  )
    throw new Problem(
      409,
      'This day was written down already, with other words. Look at it, then write down what is missing.',
    );
  await takeInFrom(
    {
      patient,
      access: thatMemberMay(member, 'assistant'),
      actor: actorOf(member),
      verb: 'wrote down what was told by',
      written: { by: member.id, how: draft.how, on: date },
    },
    { sentAt: now(), events: coming },
  );
}

/**
 * Takes back what was written down of a day, all of it: it stays in the record and counts for nothing,
 * and the day can be written down anew. What a phone told stays, and so do an alert and a pause that
 * came of it: somebody has looked at those, or will.
 *
 * @throws Problem 409 where nothing of this day was written down, or all of it was taken back
 */
export async function takeBackTold(member: SignedIn, draft: ToldBackDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const { date, id } = draft;
  const events = await eventsOfDay(patient.clinicId, patient.id, date);
  if (events.some((event) => event.id === id && event.body.type === 'taken back')) return;
  const written = standingEvents(events).filter(({ writtenBy }) => writtenBy !== null);
  const [first] = written;
  if (!first) throw new Problem(409, 'Nothing that was written down of this day stands.', ['date']);
  const sessions = [...new Set(written.map(({ sessionId }) => sessionId))];
  const at = now();
  await takeInFrom(
    {
      patient,
      access: thatMemberMay(member, 'assistant'),
      actor: actorOf(member),
      verb: 'took back what was written down of',
      written: { by: member.id, how: first.writtenHow ?? 'call', on: date },
    },
    {
      sentAt: at,
      events: [
        {
          id,
          sessionId: uuidFrom('taken back', id),
          sessionKey: DAY_KEY,
          programmeId: first.programmeId,
          version: first.version,
          deviceAt: at,
          offsetMs: 0,
          body: { type: 'taken back', sessions },
        },
      ],
    },
  );
}

/** Whether this draft stands in the record with other events than these. */
function isThereOtherwise(
  coming: readonly ComingEvent[],
  stored: readonly { readonly id: string; readonly payloadHash: string }[],
): boolean {
  if (stored.length === 0) return false;
  const hashes = new Map(coming.map((event) => [event.id, hashOf(event)]));
  return (
    stored.length !== coming.length ||
    stored.some(({ id, payloadHash }) => hashes.get(id) !== payloadHash)
  );
}

/** What was told as events: sessions at noon, since nobody told the hour, the rest when it was written. */
async function eventsOf(
  draft: ToldDraft,
  {
    patient,
    facts,
    version,
    placed,
    mine,
  }: {
    readonly patient: Patient;
    readonly facts: PatientFacts;
    readonly version: SentVersion;
    readonly placed: readonly { readonly key: string; readonly lineages: readonly string[] }[];
    /** An id of this draft's own, the same whenever it is sent. */
    readonly mine: (name: string) => string;
  },
): Promise<ComingEvent[]> {
  const noon = instantAt(zoneOf(patient), draft.date, NOON);
  const told = (sessionKey: string, name: string, deviceAt: number, body: StoredEventBody) => ({
    id: mine(`${sessionKey} ${name}`),
    sessionId: mine(sessionKey),
    sessionKey,
    programmeId: version.programmeId,
    version: version.number,
    deviceAt,
    offsetMs: 0,
    body,
  });
  const sessions = placed.flatMap(({ key, lineages }, nth) => {
    const at = noon + nth * MINUTE_MS;
    return [
      told(key, 'started', at, { type: 'started' }),
      ...lineages.map((lineage) => told(key, lineage, at, { type: 'told', lineage, share: 1 })),
      told(key, 'ended', at, { type: 'ended' }),
    ];
  });
  const at = Math.min(draft.at, now());
  const { pain, worst, worstOf = [], morning, wrong, note, date } = draft;
  const last = placed.at(-1)?.key ?? DAY_KEY;
  const ofDay: ComingEvent[] = [];
  if (pain !== null)
    ofDay.push(
      told(last, 'check-in', last === DAY_KEY ? at : noon + placed.length * MINUTE_MS, {
        type: 'check-in',
        pain,
        word: '',
      }),
    );
  if (worst !== null || worstOf.length > 0 || note !== '')
    ofDay.push(
      told(DAY_KEY, 'daily', at, {
        type: 'daily',
        date: date,
        worst,
        ...(worstOf.length > 0 ? { worstOf } : {}),
        where: [],
        headache: null,
        note,
      }),
    );
  if (morning !== null)
    ofDay.push(told(DAY_KEY, 'morning', at, { type: 'morning', date: date, soreness: morning }));
  if (wrong !== null) {
    const report = { ...wrong, furthest: null };
    const { baseline } = questionsFor(facts, await askedOf(patient), todayOf(patient));
    ofDay.push(
      told(DAY_KEY, 'report', at, {
        type: 'report',
        lineage: null,
        report,
        advice: adviseOn(report, baseline).advice,
      }),
    );
  }
  return [...sessions, ...ofDay];
}
