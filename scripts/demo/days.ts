import type { Story, StoryDay } from './story';
import { group } from 'd3';
import { howMany } from '@/core/progression';
import { DAY_KEY } from '@/core/history';
import { type SentLine, type SentVersion, sentVersion } from '@/core/programme';
import type { RepDone, SessionEventBody } from '@/core/adherence';
import { advance, startAt } from '@/core/player';
import type { DeviceEvent } from '@/core/records';
import { type DaySession, sessionsOn, versionOn } from '@/core/schedule';
import { type PlayedSegment, resolve, sessionTimeline } from '@/core/timeline';
import { type LocalDate, seconds } from '@/core/units';
import { pausesOf, versionsOf } from '@/db';
import type { PatientHere } from '@/server/access';
import { now } from '@/server/clock';
import { wakingOf } from '@/server/programme-facts';
import { complaintsOf } from '@/server/patient/complaints';
import { takeIn } from '@/server/take-in';
import { VISITS } from './visits';
import { DAYS } from './world';
import { type Chance, chance } from './chance';

export async function sentVersions(clinicId: string, patientId: string): Promise<SentVersion[]> {
  return ((await versionsOf(clinicId, [patientId])).get(patientId) ?? []).map(sentVersion);
}

/** One day: each due session begun or not, done in whole or part, told as a device would tell it. */
export async function liveDay(
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

/** Arm symptoms that draw in: from the hand towards the neck, as the weeks go by. */
const DRAWING_IN = ['hand', 'forearm', 'forearm', 'elbow', 'upper arm', 'shoulder'] as const;

/** The evening's word about the day, one in four forgotten; once a week the activities. */
export async function tellOfDay(
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
  const { second } = story;
  const complaints =
    second && day >= second.onDay ? (await complaintsOf(here.patient, [])).open : [];
  // Drawn by a chance of its own, so that the first complaint's days stay as they were.
  const own = chance(day + 5000);
  const worstOf = complaints.map(({ id, name }) => ({
    episodeId: id,
    worst:
      second && name === second.complaint
        ? Math.round(Math.max(0, Math.min(10, second.pain(day) + own.normal() * 0.7)))
        : worst,
  }));
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
      worst: Math.max(worst, ...worstOf.map((one) => one.worst)),
      ...(worstOf.length > 0 ? { worstOf } : {}),
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
      body: body,
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
  const counts = [...done].flatMap(([line, reps]) => countsOf(session.lines[line], reps));
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
    body: body,
  }));
  // Counts have ids of a chance of their own, so that none is drawn that earlier stories lacked.
  const ids = chance(startedAt % 1_000_003);
  const counted = counts.map((body, index): DeviceEvent => ({
    id: ids.id(),
    sessionId,
    sessionKey: session.key,
    programmeId: version.programmeId,
    version: version.number,
    deviceAt: startedAt + (index + 1) * 1000,
    offsetMs: (index + 1) * 1000,
    body,
  }));
  return { sentAt: startedAt, events: [...events, ...counted] };
}

/** What a patient counts after each set of a line, where they are asked: all that was played. */
function countsOf(line: SentLine | undefined, reps: readonly RepDone[]): SessionEventBody[] {
  const asks = line && howMany(line.dose, line.school?.id ?? null);
  if (!line || !asks) return [];
  const bySet = group(reps, ({ round, side, direction, station, set }) =>
    [round, asks.alternating ? '' : side, direction, station, set].join(' '),
  );
  return [...bySet.values()].flatMap((played): SessionEventBody[] => {
    const [first] = played;
    if (!first) return [];
    const { round, direction, station, set } = first;
    const { load } = line.dose;
    const amount = load?.kind === 'weight' ? (load.perSet[set - 1] ?? load.perSet[0]) : null;
    return [
      {
        type: 'count',
        lineage: line.lineage,
        round,
        side: asks.alternating ? null : first.side,
        direction,
        station,
        set,
        reps: Math.max(...played.map(({ rep }) => rep)),
        load: typeof amount === 'number' && asks.unit ? { amount, unit: asks.unit } : null,
      },
    ];
  });
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
