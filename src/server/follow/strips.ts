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
  obstaclesOf,
  readingsOf,
} from '@/core/follow';
import {
  type DayReport,
  NOTHING_DONE,
  adherenceHistory,
  firstDay,
  isPausedOn,
  sessionKeysOn,
  worstPain,
} from '@/core/history';
import { detectableOf, kindOf, marginAt } from '@/core/measures';
import type { CareBody } from '@/core/records';
import { isDueOn, sessionsOn, timesPerDay, versionOn } from '@/core/schedule';
import { fullestDay, plannedLine } from '@/core/programme';
import { nerveChange } from '@/core/symptoms';
import { type LocalDate, addDays } from '@/core/units';
import {
  type Patient,
  entriesOf,
  membersOf,
  newestLinkOf,
  openAlertsOf,
  outcomeLettersOf,
  pausesOf,
} from '@/db';
import type { SignedIn } from '../access';
import { catalogueFor } from '../desk/exercises';
import { slotText } from '../patient/slot-text';
import { type PatientFacts, type SentVersion, factsOf, todayOf } from '../programme-facts';
import { type Measure, detectableChangesOf, measuresOf } from '../visit/measuring';
import { type FollowRecord, followRecords, limbSeries, limbsOf } from './outlook';
import { LANTERN_DAYS, type OpenAlert } from './triage';

/** The most days the strips show; older ones stay in the record. */
const MOST_DAYS = 366;
/** Key exercises with a strip of their own. */
const MOST_LINES = 4;
/** "Are they doing it" looks so far back. */
const DOING_DAYS = 28;

export type Seam = {
  readonly date: LocalDate;
  readonly number: number;
  readonly reason: string;
  readonly author: string;
};

/** Something else that happened, dated: it may be why, or not. */
export type Beside = { readonly date: LocalDate; readonly say: string };

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
  readonly record: FollowRecord;
};

/** Everything the Follow page shows, from the first day of the programme to today. */
export async function followOf(member: SignedIn, patient: Patient): Promise<Follow> {
  const { clinicId } = member;
  const today = todayOf(patient);
  const earliest = addDays(today, 1 - MOST_DAYS);
  const [[record], members, measures, detectable, care, letters, catalogue] = await Promise.all([
    followRecords(clinicId, [patient], earliest, today),
    membersOf(clinicId),
    measuresOf(patient),
    detectableChangesOf(clinicId),
    entriesOf(clinicId, patient.id, ['care']),
    outcomeLettersOf(clinicId, patient.id),
    catalogueFor(clinicId),
  ]);
  if (!record) throw new Error('the record of one patient');
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
    followed: followedIn(strips, measures, detectable),
    seams: facts.versions.map((version) => ({
      date: version.effectiveFrom,
      number: version.number,
      reason: version.reason,
      author: names.get(version.authorId) ?? '',
    })),
    reviews: [
      ...letters.map(({ localDate }) => localDate as LocalDate),
      ...(newest?.reviewOn ? [newest.reviewOn] : []),
    ],
    limbs: limbsOf(record, weaknessGrows(measures)),
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
      minutes: newest && minutesOf(newest, facts, catalogue.byId, today),
      minutesADay: patient.minutesADay,
    }),
    versions: facts.versions,
    paused: isPausedOn(facts.pauses, today) || facts.pauses.some(({ to }) => to === null),
    record,
  };
}

function minutesOf(
  version: SentVersion,
  { waking }: PatientFacts,
  byId: Awaited<ReturnType<typeof catalogueFor>>['byId'],
  from: LocalDate,
): number | null {
  const lines = version.lines.flatMap((line) => {
    const exercise = byId(line.exerciseId);
    return exercise
      ? [plannedLine(line.lineage, exercise, line.dose, line.anchor, line.school, line.session)]
      : [];
  });
  const day = fullestDay(lines, { from, review: version.reviewOn, rounds: version.rounds }, waking);
  return day && Math.ceil(day.total.least / 60);
}

function slotNames({ versions, waking, today }: PatientFacts): Readonly<Record<string, string>> {
  const version = versionOn(versions, today);
  if (!version) return {};
  const week = Array.from({ length: 14 }, (_, back) => addDays(today, -back));
  return Object.fromEntries(
    week.flatMap((date) =>
      sessionsOn(date, version.lines, waking, version.reviewOn).sessions.map(({ key, slot }) => [
        key,
        slotText(slot),
      ]),
    ),
  );
}

function doingDays({ facts, reports }: FollowRecord, days: readonly DayAdherence[]): DoingDay[] {
  return days.map((adherence) => {
    const { date } = adherence;
    const version = versionOn(facts.versions, date);
    return {
      date,
      adherence,
      done: facts.done.get(date) ?? NOTHING_DONE,
      due: version ? [...sessionKeysOn(version, date, facts.waking)] : [],
      lines: (version?.lines ?? [])
        .filter((line) => isDueOn(line, date, version?.reviewOn ?? null))
        .map((line) => ({
          lineage: line.lineage,
          times: timesPerDay(line.dose.times, facts.waking).least,
        })),
      recalled: reports.get(date)?.recalled ?? false,
    };
  });
}

/** New weakness, or less feeling, from the last examination but one to the last. */
function weaknessGrows(measures: readonly Measure[]): boolean {
  const [last, before] = measures.flatMap(({ body }) => (body?.form === 'nerve' ? [body] : []));
  if (!last) return false;
  const { weaker, lessFeeling } = nerveChange(before ?? null, last);
  return weaker.length > 0 || lessFeeling.length > 0;
}

function besideIn(
  care: Awaited<ReturnType<typeof entriesOf>>,
  { pauses }: PatientFacts,
  from: LocalDate,
): Beside[] {
  const events = care.flatMap(({ localDate, body }): Beside[] => {
    if (body === null || localDate < from) return [];
    const { kind, what } = JSON.parse(body) as CareBody;
    return [{ date: localDate as LocalDate, say: `${kind}: ${what}` }];
  });
  const paused = pauses
    .filter((pause) => pause.to === null || pause.to >= from)
    .map((pause) => ({ date: pause.from, say: `paused${pause.to ? ` to ${pause.to}` : ''}` }));
  return [...events, ...paused].sort((a, b) => (a.date < b.date ? -1 : 1));
}

function stripsOf(
  record: FollowRecord,
  days: readonly DayAdherence[],
  measures: readonly Measure[],
  from: LocalDate,
): Strip[] {
  const { facts, reports } = record;
  const told = [...reports].filter(([date]) => date >= from).sort(([a], [b]) => (a < b ? -1 : 1));
  const done = [...facts.done]
    .filter(([date]) => date >= from)
    .sort(([a], [b]) => (a < b ? -1 : 1));
  const strips: Strip[] = [
    { kind: 'dose', id: 'dose', name: 'Dose done', days },
    {
      kind: 'times',
      id: 'times',
      name: 'Sessions',
      points: done.flatMap(([date, { sessions }]) =>
        sessions.map(({ minute, share }) => ({ date, minute, share })),
      ),
    },
    {
      kind: 'skips',
      id: 'skips',
      name: 'Left out',
      points: done.flatMap(([date, { sessions }]) => {
        const by: Partial<Record<string, number>> = {};
        for (const { lines } of sessions)
          for (const { skipped } of lines) if (skipped) by[skipped] = (by[skipped] ?? 0) + 1;
        return Object.keys(by).length > 0 ? [{ date, by }] : [];
      }),
    },
    { kind: 'band', id: 'pain', name: 'Pain', most: 10, points: painsOf(told) },
    ...limbSeries(new Map(told)).map(({ limb, readings }): Strip => ({
      kind: 'reach',
      id: `reach-${limb.side}-${limb.chain}`,
      name: `Down the ${limb.side} ${limb.chain}`,
      chain: limb.chain,
      points: readings,
    })),
    {
      kind: 'yes-no',
      id: 'headache',
      name: 'Headache',
      points: told.flatMap(([date, { headache }]) =>
        headache === null ? [] : [{ date, value: headache }],
      ),
    },
    {
      kind: 'soreness',
      id: 'soreness',
      name: 'Next morning',
      points: told.flatMap(([date, { soreness }]) =>
        soreness === null ? [] : [{ date, value: soreness }],
      ),
    },
    ...lineStrips(facts, done),
    ...measureStrips(measures, from),
    {
      kind: 'notes',
      id: 'notes',
      name: 'Words',
      points: told.flatMap(([date, { notes }]) => notes.map((say) => ({ date, say }))),
    },
  ];
  return strips.filter(
    (strip) => strip.kind === 'dose' || strip.id === 'times' || strip.points.length > 0,
  );
}

function painsOf(told: readonly (readonly [LocalDate, DayReport])[]) {
  return told.flatMap(([date, report]) => {
    const high = worstPain(report);
    const { recalled, pains } = report;
    return high === null ? [] : [{ date, low: Math.min(high, ...pains), high, recalled }];
  });
}

/** Held seconds, or repetitions, of the newest version's lines that were done most often. */
function lineStrips(
  facts: PatientFacts,
  done: readonly (readonly [
    LocalDate,
    typeof facts.done extends ReadonlyMap<unknown, infer D> ? D : never,
  ])[],
): Strip[] {
  const lines = facts.versions.at(-1)?.lines ?? [];
  return lines
    .map((line): Strip & { kind: 'line' } => {
      const logs = done.flatMap(([date, { sessions }]) =>
        sessions.flatMap((session) =>
          session.lines
            .filter(({ lineage, reps }) => lineage === line.lineage && reps > 0)
            .map(({ hold, reps }) => ({
              date,
              load: loadIn(facts, session.version, line.lineage),
              hold,
              reps,
            })),
        ),
      );
      const loaded = logs.some(({ load }) => load !== null);
      const held = logs.some(({ hold }) => hold !== null);
      const byDay = new Map<LocalDate, number>();
      for (const { date, load, hold, reps } of logs) {
        const value = loaded ? load : held ? hold : reps;
        byDay.set(date, Math.max(byDay.get(date) ?? 0, value ?? 0));
      }
      const { load } = line.dose;
      return {
        kind: 'line',
        id: `line-${line.lineage}`,
        name: line.exercise.name,
        unit: loaded
          ? load?.kind === 'weight'
            ? load.unit
            : 'kg'
          : held
            ? 's held'
            : 'repetitions',
        points: [...byDay].map(([date, value]) => ({ date, value })),
      };
    })
    .filter(({ points }) => points.length > 0)
    .sort((a, b) => b.points.length - a.points.length)
    .slice(0, MOST_LINES);
}

/** The heaviest written weight of a line in the version a session was played from. */
function loadIn({ versions }: PatientFacts, number: number, lineage: string): number | null {
  const load = versions
    .find((version) => version.number === number)
    ?.lines.find((line) => line.lineage === lineage)?.dose.load;
  if (load?.kind !== 'weight') return null;
  return Math.max(...load.perSet.map((one) => (one === 'adj' ? 0 : one)));
}

/** Every measure that was taken more than once within the time shown. */
function measureStrips(measures: readonly Measure[], from: LocalDate): Strip[] {
  const series = new Map<string, Strip & { kind: 'line' }>();
  for (const { kind, side, value, on } of [...measures].reverse()) {
    if (value === null || on < from) continue;
    const id = `measure-${kind}-${side ?? ''}`;
    const known = series.get(id);
    series.set(id, {
      kind: 'line',
      id,
      name: side ? `${kindOf(kind).name}, ${side}` : kindOf(kind).name,
      unit: kindOf(kind).unit,
      points: [...(known?.points ?? []), { date: on, value }],
    });
  }
  return [...series.values()].filter(({ points }) => points.length > 1);
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
        matters: { better, by: marginAt(margin, measure.value), share: null, source },
        readings: readingsOf(strip),
      },
    ];
  });
}

/** What the header of a patient's file shows on every step. */
export type FileHeader = {
  /** A pause of the patient's own that is not over yet. */
  readonly ownPause: { readonly reason: string; readonly from: string; readonly to: string } | null;
  readonly days: readonly DayAdherence[];
  readonly alerts: readonly OpenAlert[];
  readonly paused: boolean;
  readonly link: { readonly issued: boolean; readonly opened: boolean };
};

export async function fileHeader(member: SignedIn, patient: Patient): Promise<FileHeader> {
  const today = todayOf(patient);
  const from = addDays(today, 1 - LANTERN_DAYS);
  const [[facts], alerts, link, pauses] = await Promise.all([
    factsOf(member.clinicId, [patient], from, today),
    openAlertsOf(member.clinicId, [patient.id]),
    newestLinkOf(member.clinicId, patient.id),
    pausesOf(member.clinicId, [patient.id]),
  ]);
  const own = pauses.findLast(
    ({ cause, toDate }) => cause === 'patient' && toDate !== null && toDate >= today,
  );
  return {
    ownPause: own ? { reason: own.reason, from: own.fromDate, to: own.toDate ?? '' } : null,
    days: facts ? adherenceHistory(facts, from, today) : [],
    alerts: alerts.map(({ id, kind, createdAt, escalatedAt }) => ({
      id,
      kind,
      createdAt,
      escalated: escalatedAt !== null,
    })),
    paused: facts?.pauses.some((pause) => pause.to === null) ?? false,
    link: { issued: link !== null && link.revokedAt === null, opened: link?.openedAt != null },
  };
}
