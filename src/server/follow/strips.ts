import { limbsOf, recordFor, stripsOf } from '@/core/outlook';
import { LANTERN_DAYS } from '@/core/morning';
import type { CareBody } from '@/core/records';
import { ENGLISH } from '@/catalogue';
import { type AdherenceSummary, type DayAdherence, summarise } from '@/core/adherence';
import {
  type Doing,
  type DoingDay,
  type Followed,
  type LimbVerdict,
  type ObstacleFound,
  PAIN_MATTERS,
  type Strip,
  doingOver,
  followedActivities,
  followedHeadaches,
  obstaclesOf,
  readingsOf,
} from '@/core/follow';
import {
  NOTHING_DONE,
  adherenceHistory,
  firstDay,
  isPausedOn,
  sessionKeysOn,
} from '@/core/history';
import { detectableOf, kindOf, marginAt } from '@/core/measures';
import { isDueOn, sessionsOn, timesPerDay, versionOn } from '@/core/schedule';
import { type SentVersion, minutesAsked } from '@/core/programme';
import { type LocalDate, addDays, shortDay, textOrder } from '@/core/units';
import { type Patient, entriesOf, membersOf, outcomeLettersOf } from '@/db';
import type { SignedIn } from '../access';
import { type FollowedEpisode, followedEpisode, measuresFor } from '../at-hand';
import { catalogueFor } from '../desk/exercises';
import { slotText } from '../patient/slot-text';
import { type PatientFacts, todayOf } from '../programme-facts';
import { type Measure, detectableChangesOf, measuresOf } from '../visit/measuring';
import { type PatientRecord, followRecords } from './outlook';

/** The most days the strips show; older ones stay in the record. */
const MOST_DAYS = 366;
/** "Are they doing it" looks so far back. */
const DOING_DAYS = 28;

export type Seam = {
  readonly date: LocalDate;
  readonly number: number;
  readonly reason: string;
  readonly author: string;
};

/** Something else that happened, dated: it may be why, or not. */
export type Beside = {
  readonly date: LocalDate;
  readonly say: string;
  /** Where the programme was paused, its last day; null while it still is. */
  readonly pausedTo?: LocalDate | null;
};

export type Follow = {
  readonly today: LocalDate;
  readonly from: LocalDate;
  readonly days: readonly DayAdherence[];
  readonly summary: AdherenceSummary;
  readonly fortnight: AdherenceSummary;
  readonly strips: readonly Strip[];
  readonly followed: readonly Followed[];
  readonly seams: readonly Seam[];
  readonly reviews: readonly LocalDate[];
  readonly limbs: readonly LimbVerdict[];
  readonly beside: readonly Beside[];
  readonly doing: Doing;
  readonly lineNames: Readonly<Record<string, string>>;
  readonly slotNames: Readonly<Record<string, string>>;
  readonly obstacles: readonly ObstacleFound[];
  readonly versions: readonly SentVersion[];
  readonly paused: boolean;
  /** As the episode that is followed has it; what is safe is asked of the whole record. */
  readonly record: PatientRecord;
  readonly of: FollowedEpisode;
};

/** Everything the Follow page shows, from the first day of the programme to today. */
export async function followOf(member: SignedIn, patient: Patient): Promise<Follow> {
  const { clinicId } = member;
  const today = todayOf(patient);
  const followed = await followedEpisode(member, patient);
  const { episode, since } = followed;
  const bound = addDays(today, 1 - MOST_DAYS);
  const earliest = since !== null && since > bound ? since : bound;
  const [[whole], members, all, detectable, care, letters, catalogue] = await Promise.all([
    followRecords(clinicId, [patient], earliest, today),
    membersOf(clinicId),
    measuresOf(patient),
    detectableChangesOf(clinicId),
    entriesOf(clinicId, patient.id, ['care']),
    outcomeLettersOf(clinicId, patient.id),
    catalogueFor(clinicId),
  ]);
  if (!whole) throw new Error('the record of one patient');
  const record = episode ? recordFor(whole, episode, followed.beside, followed.notOwn) : whole;
  const measures = measuresFor(all, followed);
  const { facts } = record;
  const start = firstDay(facts.versions) ?? today;
  const from = start < earliest ? earliest : start > today ? today : start;
  const days = adherenceHistory(facts, from, today);
  const names = new Map(members.map(({ id, name }) => [id, name]));
  const strips = stripsOf(record, days, measures, from);
  const doing = doingOver(doingDays(record, days.slice(-DOING_DAYS)));
  const newest = facts.versions.at(-1) ?? null;
  return {
    today,
    from,
    days,
    summary: summarise(days),
    fortnight: summarise(days.slice(-LANTERN_DAYS)),
    strips,
    followed: [
      ...followedIn(strips, measures, detectable),
      ...followedHeadaches(record.reports),
      ...followedActivities(record.reports),
    ],
    seams: facts.versions
      .filter(({ effectiveFrom }) => effectiveFrom >= from)
      .map((version) => ({
        date: version.effectiveFrom,
        number: version.number,
        reason: version.reason,
        author: names.get(version.authorId) ?? '',
      })),
    reviews: [
      ...letters.map(({ localDate }) => localDate),
      ...(newest?.reviewOn ? [newest.reviewOn] : []),
    ],
    limbs: limbsOf(record),
    beside: besideIn(care, facts, from),
    doing,
    lineNames: Object.fromEntries(
      facts.versions.flatMap(({ lines }) =>
        lines.map(({ lineage, exercise }) => [lineage, exercise.name]),
      ),
    ),
    slotNames: slotNames(facts),
    obstacles: obstaclesOf({
      doing,
      minutes: newest && minutesAsked(newest, facts.waking, catalogue.byId, today),
      minutesADay: patient.minutesADay,
    }),
    versions: facts.versions,
    paused: isPausedOn(facts.pauses, today) || facts.pauses.some(({ to }) => to === null),
    record,
    of: followed,
  };
}

function slotNames({ versions, waking, today }: PatientFacts): Readonly<Record<string, string>> {
  const version = versionOn(versions, today);
  if (!version) return {};
  const week = Array.from({ length: 14 }, (_, back) => addDays(today, -back));
  return Object.fromEntries(
    week.flatMap((date) =>
      sessionsOn(date, version.lines, waking, version.reviewOn).sessions.map(({ key, slot }) => [
        key,
        slotText(slot, ENGLISH),
      ]),
    ),
  );
}

function doingDays({ facts, reports }: PatientRecord, days: readonly DayAdherence[]): DoingDay[] {
  return days.map((adherence) => {
    const { date } = adherence;
    const version = versionOn(facts.versions, date);
    return {
      date,
      adherence,
      done: facts.done.get(date) ?? NOTHING_DONE,
      due: version ? [...sessionKeysOn(version, date, facts.waking, facts.counted)] : [],
      lines: (version?.lines ?? [])
        .filter(
          (line) =>
            (facts.counted?.has(line.lineage) ?? true) &&
            isDueOn(line, date, version?.reviewOn ?? null),
        )
        .map((line) => ({
          lineage: line.lineage,
          times: timesPerDay(line.dose.times, facts.waking).least,
        })),
      recalled: reports.get(date)?.recalled ?? false,
      writtenDown: reports.get(date)?.writtenDown ?? false,
    };
  });
}

/** New weakness, or less feeling, from the last examination but one to the last. */
function besideIn(
  care: readonly { readonly localDate: LocalDate; readonly body: CareBody | null }[],
  { pauses }: PatientFacts,
  from: LocalDate,
): Beside[] {
  const events = care.flatMap(({ localDate, body }): Beside[] => {
    if (body === null || localDate < from) return [];
    const { kind, what } = body;
    return [{ date: localDate, say: `${kind}: ${what}` }];
  });
  const paused = pauses
    .filter((pause) => pause.to === null || pause.to >= from)
    .map((pause): Beside => ({
      date: pause.from,
      say: `paused${pause.to ? ` to ${shortDay(pause.to)}` : ''}`,
      pausedTo: pause.to,
    }));
  return [...events, ...paused].sort((a, b) => textOrder(a.date, b.date));
}

/** What a verdict is given on: pain, and measures taken often enough to have a course. */
function followedIn(
  strips: readonly Strip[],
  measures: readonly Measure[],
  detectable: Awaited<ReturnType<typeof detectableChangesOf>>,
): Followed[] {
  return strips.flatMap((strip): Followed[] => {
    if (strip.id === 'pain')
      return [
        {
          id: strip.id,
          name: 'Worst pain',
          unit: 'of 10',
          matters: PAIN_MATTERS,
          readings: readingsOf(strip),
        },
      ];
    const measure = measures.find(({ kind, side }) => strip.id === `measure-${kind}-${side ?? ''}`);
    if (!measure || strip.kind !== 'line') return [];
    const { better } = kindOf(measure.kind);
    const { margin, source } = detectableOf(measure.kind, detectable);
    if (better === 'neither' || margin === null || measure.value === null) return [];
    return [
      {
        id: strip.id,
        name: strip.name,
        unit: strip.unit,
        measure: { kind: measure.kind, side: measure.side },
        matters: { better, by: marginAt(margin, measure.value), share: null, source },
        readings: readingsOf(strip),
      },
    ];
  });
}
