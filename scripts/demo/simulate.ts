import { randomInt, randomLcg, randomNormal, randomUniform } from 'd3';
import type { RepDone, SessionEventBody } from '@/core/adherence';
import { advance, startAt } from '@/core/player';
import { NO_SETTINGS, doseOf } from '@/core/progression';
import type { DeviceEvent } from '@/core/records';
import { doseTraits, flagsOn } from '@/core/screen';
import {
  type DaySession,
  type WallMinute,
  instantAt,
  sessionsOn,
  versionOn,
} from '@/core/schedule';
import { type PlayedSegment, resolve, sessionTimeline } from '@/core/timeline';
import { type LocalDate, seconds } from '@/core/units';
import { memberBySession, openAlertsOf, patientByDevice, pausesOf, versionsOf } from '@/db';
import type { PatientHere, SignedIn } from '@/server/access';
import { now, setClock } from '@/server/clock';
import { catalogueFor } from '@/server/desk/exercises';
import { issueLink, openLink } from '@/server/links';
import { acknowledge, addPatient, patientFor } from '@/server/people';
import { type SentLine, type SentVersion, sentVersion, wakingOf } from '@/server/programme-facts';
import { decideProposal, sendAccepted } from '@/server/follow/decide';
import { proposalsOf } from '@/server/follow/proposals';
import { saveProgramme, setPaused } from '@/server/save-programme';
import { hashToken } from '@/server/secrets';
import { signIn } from '@/server/sign-in';
import { DAY_KEY, takeIn } from '@/server/take-in';
import { addDays } from '@/core/units';
import { SAID_PARTS, untaught } from '@/core/teach';
import { newestVersion, signTeaching } from '@/server/visit/teaching';
import { saveEntry } from '@/server/visit/entries';
import { screeningState } from '@/server/visit/screening';
import { carryOut } from './visit';
import { VISITS } from './visits';
import { CLINIC, DAYS, DEMO_PASSWORD, type Story, type StoryDay } from './world';

/** Chance with a seed of its own for each patient, so that one story never changes another. */
export function chance(seed: number) {
  const source = randomLcg(seed);
  return {
    fraction: randomUniform.source(source)(),
    normal: randomNormal.source(source)(0, 0.8),
    whole: (below: number) => randomInt.source(source)(below)(),
    id: () => {
      const hex = Array.from({ length: 32 }, () =>
        randomInt.source(source)(16)().toString(16),
      ).join('');
      return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20)}`;
    },
  };
}
type Chance = ReturnType<typeof chance>;

/** Signs a member in, as the sign-in page does. */
export async function memberFor(email: string, password = DEMO_PASSWORD): Promise<SignedIn> {
  const tokenHash = hashToken(await signIn(email, password));
  const found = await memberBySession(tokenHash, now());
  if (!found) throw new Error(`${email} is not signed in`);
  return {
    kind: 'member',
    id: found.id,
    clinicId: found.clinicId,
    name: found.name,
    role: found.role,
    tokenHash,
  };
}

/** Lives one story through the same functions as real use, on a clock of its own. */
export async function live(
  story: Story,
  seed: number,
  dates: readonly LocalDate[],
  practitioner: () => Promise<SignedIn>,
): Promise<{ patientId: string; token: string }> {
  const luck = chance(seed);
  // What is told of the days is drawn apart, so that the sessions stay as they were.
  const words = chance(seed + 1000);
  const at = (day: number, minute: number) =>
    setClock(() => instantAt(CLINIC.zone as never, dates[day] as LocalDate, minute as WallMinute));
  const visits = VISITS[story.name] ?? [];
  const begin = Math.min(story.versions[0]?.onDay ?? DAYS, visits[0]?.onDay ?? DAYS);
  at(begin, 9 * 60 + 5);
  let member = await practitioner();
  const { id: patientId } = await addPatient(member, {
    id: luck.id(),
    name: story.name,
    complaint: story.complaint,
    zone: CLINIC.zone,
    wakeMinute: story.wake,
    sleepMinute: story.sleep,
    minutesADay: story.minutesADay,
  });
  if (story.home)
    await saveEntry(member, {
      id: luck.id(),
      patientId,
      kind: 'home',
      supersedes: null,
      on: dates[begin] as LocalDate,
      body: story.home,
    });
  let here: PatientHere | null = null;
  let token = '';
  const toDecide = [...(story.decides ?? [])];
  for (let day = begin; day < DAYS; day += 1) {
    const written = story.versions.findIndex((version) => version.onDay === day);
    const visit = visits.find((one) => one.onDay === day);
    const [decision] = toDecide;
    if (decision && decision.fromDay <= day) {
      at(day, 9 * 60 + 5);
      member = await practitioner();
      const { decline = null } = decision;
      if (await decided(member, patientId, decline, dates[day] as LocalDate, luck))
        toDecide.shift();
    }
    if (visit || written >= 0 || story.resumes.includes(day)) {
      at(day, 9 * 60 + 10);
      member = await practitioner();
      if (story.resumes.includes(day)) {
        await setPaused(member, patientId, false);
        for (const alert of await openAlertsOf(member.clinicId, [patientId]))
          await acknowledge(member, alert.id);
      }
      if (visit)
        await carryOut(
          member,
          patientId,
          story.complaint,
          visit,
          dates[day] as LocalDate,
          async () => {
            if (token === '') ({ token } = await issueLink(member, patientId));
            return opened(token);
          },
        );
      if (written >= 0) {
        await writeVersion(member, patientId, story, written, dates[day] as LocalDate);
        if (written === 0) await teach(member, patientId, story);
      }
      if (token === '' && written >= 0) ({ token } = await issueLink(member, patientId));
    }
    if (!story.day) continue;
    at(day, 9 * 60 + 40);
    here ??= await opened(token);
    await liveDay(here, story, story.day(day), day, dates[day] as LocalDate, luck, at);
    await tellOfDay(here, story, story.day(day), day, dates[day] as LocalDate, words, at);
  }
  setClock(null);
  return { patientId, token };
}

/** The first programme is taught in the room: everything said and shown, the usual fault put right. */
async function teach(member: SignedIn, patientId: string, story: Story): Promise<void> {
  const version = await newestVersion(await patientFor(member, patientId));
  if (!version) return;
  await signTeaching(member, {
    id: crypto.randomUUID(),
    patientId,
    programmeId: version.programmeId,
    version: version.number,
    lines: version.lines.map((line, index) => {
      const [fault] = Object.entries(line.exercise.faults ?? {});
      return {
        ...untaught(line.lineage),
        said: [...SAID_PARTS],
        demonstrated: true,
        watched: true,
        felt: ['back left neck', 'back right neck'],
        comfortable: 'yes',
        breathing: 'yes',
        faults: index === 1 && fault ? [{ fault: fault[0], fix: fault[1] }] : [],
        cue: index === 0 ? (story.cue ?? '') : '',
        questions: '',
      };
    }),
    closing: { doseSaidAgain: true, dayToComeBack: true },
  });
}

async function opened(token: string): Promise<PatientHere> {
  const { device } = await openLink(token);
  const tokenHash = hashToken(device);
  const patient = await patientByDevice(tokenHash);
  if (!patient) throw new Error('the link did not open');
  return { kind: 'patient', id: patient.id, clinicId: patient.clinicId, patient, tokenHash };
}

/** Why flagged lines of the demo go ahead where a story gives no reason of its own. */
const WATCHED = 'Shown and watched at the visit; kept small, stops at the first sign';

/** Takes the first proposal and sends it, or declines it with a reason; false while there is none. */
async function decided(
  member: SignedIn,
  patientId: string,
  decline: string | null,
  date: LocalDate,
  luck: Chance,
): Promise<boolean> {
  const view = await proposalsOf(await patientFor(member, patientId));
  const proposal = view?.open[0];
  if (!view || !proposal) return false;
  await decideProposal(member, {
    id: luck.id(),
    patientId,
    key: proposal.key,
    version: view.version,
    decision: decline === null ? 'accepted' : 'declined',
    dose: null,
    reason: decline ?? '',
  });
  if (decline === null)
    await sendAccepted(member, { patientId, basedOn: view.version, effectiveFrom: date });
  return true;
}

async function writeVersion(
  member: SignedIn,
  patientId: string,
  story: Story,
  index: number,
  date: LocalDate,
): Promise<void> {
  const version = story.versions[index];
  if (!version) return;
  const before = await sentVersions(member.clinicId, patientId);
  const newest = before.at(-1);
  const patient = await patientFor(member, patientId);
  const [{ precautions }, catalogue] = await Promise.all([
    screeningState(patient),
    catalogueFor(member.clinicId),
  ]);
  await saveProgramme(member, {
    patientId,
    basedOn: newest?.number ?? 0,
    effectiveFrom: date,
    reviewOn: index === story.versions.length - 1 ? addDays(date, REVIEW_AFTER) : null,
    rounds: version.rounds ?? 1,
    reason: version.reason,
    lines: version.lines.map(([exerciseId, dose, more]) => ({
      exerciseId,
      dose,
      school: more?.school ? { id: more.school, settings: NO_SETTINGS } : null,
      session: more?.session ?? null,
      overrides: flagsOn(precautions, [
        ...(catalogue.byId(exerciseId)?.traits ?? []),
        ...doseTraits(doseOf(dose)),
      ]).map((flag) => ({ ...flag, reason: more?.why ?? WATCHED })),
      lineage: newest?.lines.find((line) => line.exerciseId === exerciseId)?.lineage ?? null,
    })),
  });
}

async function sentVersions(clinicId: string, patientId: string): Promise<SentVersion[]> {
  return ((await versionsOf(clinicId, [patientId])).get(patientId) ?? []).map(sentVersion);
}

/** One day: each due session begun or not, done in whole or part, told as a device would tell it. */
async function liveDay(
  here: PatientHere,
  story: Story,
  mood: StoryDay,
  day: number,
  date: LocalDate,
  luck: Chance,
  at: (day: number, minute: number) => void,
): Promise<void> {
  const version = versionOn(await sentVersions(here.clinicId, here.id), date);
  if (!version) return;
  const { sessions } = sessionsOn(date, version.lines, wakingOf(here.patient), version.reviewOn);
  const isToday = day === DAYS - 1;
  for (const [index, session] of sessions.entries()) {
    const begun = luck.fraction() < mood.begins;
    const stops = story.stops.includes(day) && index === 0;
    // Today has only come as far as its first session.
    if ((!begun && !stops) || (isToday && index > 0)) continue;
    const again = mood.again !== undefined && luck.fraction() < mood.again ? 1 : 0;
    for (let time = 0; time <= (stops ? 0 : again); time += 1) {
      if (await isPausedToday(here, date)) return;
      const start = Math.min(
        story.wake + 45 + index * 300 + time * 40 + luck.whole(30),
        story.sleep - 60,
      );
      at(day, Math.max(start, 9 * 60 + 45));
      // Early in the morning nothing of today has happened yet.
      if (now() > Date.now() - 15 * 60_000) return;
      const share = stops ? 0.3 : Math.min(1, mood.does + luck.normal() * 0.05);
      await takeIn(here, postOf(version, session, share, stops, mood, story, luck));
    }
    if (stops) return;
  }
}

/** Days from the last version to the review: some weeks after the last day that is simulated. */
const REVIEW_AFTER = 42;

/** Arm symptoms that draw in: from the hand towards the neck, as the weeks go by. */
const DRAWING_IN = ['hand', 'forearm', 'forearm', 'elbow', 'upper arm', 'shoulder'] as const;

/** The evening's word about the day, one in four forgotten; once a week the activities. */
async function tellOfDay(
  here: PatientHere,
  story: Story,
  mood: StoryDay,
  day: number,
  date: LocalDate,
  luck: Chance,
  at: (day: number, minute: number) => void,
): Promise<void> {
  const [version] = (await sentVersions(here.clinicId, here.id)).slice(-1);
  const skips = luck.fraction() > Math.max(0.3, mood.begins - 0.15) && !story.reach;
  if (!version || day === DAYS - 1 || skips) return;
  at(day, story.sleep - 20);
  const share = day / (DAYS - 1);
  const arm = /arm/.test(story.complaint);
  const part =
    story.reach?.(day) ??
    DRAWING_IN[Math.min(DRAWING_IN.length - 1, Math.floor(share * DRAWING_IN.length))];
  const worst = Math.round(Math.max(0, Math.min(10, mood.pain + 1 + luck.normal())));
  const bodies: SessionEventBody[] = [
    {
      type: 'morning',
      date,
      soreness:
        luck.fraction() < 0.85 || mood.pain < 2.2
          ? 'settled'
          : mood.pain > 5
            ? 'flare'
            : 'still sore',
    },
    {
      type: 'daily',
      date,
      worst,
      where: arm && part && (luck.fraction() < 0.8 || story.reach) ? [`front right ${part}`] : [],
      headache: /headache/.test(story.complaint) ? luck.fraction() < 0.7 - 0.5 * share : null,
      note: '',
    },
  ];
  const goals = (VISITS[story.name] ?? []).flatMap((visit) => visit.goals ?? []);
  if (day % 7 === 6 && goals.length > 0)
    bodies.push({
      type: 'weekly',
      date,
      activities: goals.map(({ activity }) => ({
        activity,
        score: Math.max(0, Math.min(10, Math.round(9 - mood.pain + luck.normal() * 0.7))),
      })),
    });
  const sessionId = luck.id();
  const sentAt = now();
  await takeIn(here, {
    sentAt,
    events: bodies.map((body, index) => ({
      id: luck.id(),
      sessionId,
      sessionKey: DAY_KEY,
      programmeId: version.programmeId,
      version: version.number,
      deviceAt: sentAt,
      offsetMs: index,
      body: body as DeviceEvent['body'],
    })),
  });
}

async function isPausedToday(here: PatientHere, date: LocalDate): Promise<boolean> {
  const pauses = await pausesOf(here.clinicId, [here.id]);
  return pauses.some(
    (pause) => pause.fromDate <= date && (pause.toDate === null || date <= pause.toDate),
  );
}

function postOf(
  version: SentVersion,
  session: DaySession<SentLine>,
  share: number,
  stops: boolean,
  mood: StoryDay,
  story: Story,
  luck: Chance,
) {
  const played = resolve(
    sessionTimeline(session.lines, version.rounds),
    luck.fraction() < 0.8 ? 'least' : 'most',
  );
  const done = playPart(played, share);
  const bodies: SessionEventBody[] = [{ type: 'started' }];
  for (const [line, reps] of done) {
    bodies.push({ type: 'line', lineage: session.lines[line]?.lineage ?? '', reps, skipped: null });
  }
  bodies.push(stops ? { type: 'stopped', because: 'symptom' } : { type: 'ended' });
  const pain = Math.round(Math.max(0, Math.min(10, mood.pain + luck.normal() + (stops ? 3 : 0))));
  const word = luck.fraction() < 0.12 ? (story.words[luck.whole(story.words.length)] ?? '') : '';
  // Felt effort follows the pain a little, so that no chance is drawn that earlier stories lacked.
  const effort = Math.max(2, Math.min(8, Math.round(3 + mood.pain / 3)));
  bodies.push({ type: 'check-in', pain, effort, word });
  const startedAt = now();
  const sessionId = luck.id();
  const events = bodies.map((body, index): DeviceEvent => ({
    id: luck.id(),
    sessionId,
    sessionKey: session.key,
    programmeId: version.programmeId,
    version: version.number,
    deviceAt: startedAt + index * 60_000,
    offsetMs: index * 60_000,
    body: body as DeviceEvent['body'],
  }));
  return { sentAt: startedAt, events };
}

/** The repetitions of the first part of a session, by line, as the player would tell them. */
function playPart(played: readonly PlayedSegment[], share: number): Map<number, RepDone[]> {
  const last = played.at(-1);
  const whole = last ? last.startsAt + last.seconds : 0;
  const done = new Map<number, RepDone[]>();
  let head = startAt(played);
  for (const segment of played) {
    if (segment.startsAt + segment.seconds > whole * share + 0.001) break;
    const step = advance(head, seconds(segment.seconds));
    head = step.playhead;
    if (step.reps.length > 0)
      done.set(segment.line, [...(done.get(segment.line) ?? []), ...step.reps]);
  }
  return done;
}
