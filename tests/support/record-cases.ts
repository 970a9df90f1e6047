import fc from 'fast-check';
import { type RepDone, SKIP_REASONS, SORENESS, type SessionEventBody } from '@/core/adherence';
import { formatDose } from '@/core/dose';
import { DAY_KEY, type FoldedDay, type KeptEvent, foldEvents, withTarget } from '@/core/history';
import type { FollowRecord } from '@/core/outlook';
import { type PlannedLine, type SentVersion, snapshotOf } from '@/core/programme';
import { type WakingHours, type Zone, instantAt, sessionsOn, versionOn } from '@/core/schedule';
import { PRECAUTIONS, type PrecautionId } from '@/core/screen';
import { ADVICE, COMPLAINTS, REGIONS } from '@/core/symptoms';
import { type PlayedSegment, resolve, sessionTimeline } from '@/core/timeline';
import { type LocalDate, addDays } from '@/core/units';
import { worded } from '@/catalogue/wording';
import { FIRST, plannedLines } from './programme-cases';

/** Whole records drawn by chance: versions, days of events as a phone tells them, and their folds. */
export const ZONE = 'Europe/Lisbon' as Zone;
const WAKING = { wake: 420, sleep: 1320 } as WakingHours;

function sentVersion(number: number, from: number, lines: readonly PlannedLine[]): SentVersion {
  const rounds = 1 + (number % 2);
  return {
    number,
    effectiveFrom: addDays(FIRST, from),
    reviewOn: number === 2 ? addDays(FIRST, 40) : null,
    rounds,
    programmeId: 'programme',
    reason: '',
    authorId: 'member',
    createdAt: number,
    lines: lines.slice(0, 3).map((line) => {
      const { lineage, anchor, dose, mode, position, exercise, school, session = null } = line;
      return {
        ...withTarget({ lineage, anchor, dose, mode, position, session }, rounds),
        exerciseId: exercise.id,
        exercise: snapshotOf(worded(exercise)),
        text: formatDose(dose),
        school,
        session,
        overrides: [],
        setUp: [],
      };
    }),
  };
}

/** Rolls numbers 0–99 one after the other, round and round. */
class Dice {
  private at = 0;
  constructor(private readonly rolls: readonly number[]) {}
  roll(): number {
    this.at += 1;
    return ((this.rolls[this.at % this.rolls.length] ?? 0) + this.at * 37) % 100;
  }
  under(percent: number): boolean {
    return this.roll() < percent;
  }
  of<T>(choices: readonly [T, ...T[]] | readonly T[]): T {
    return choices[this.roll() % choices.length] as T;
  }
}

function repOf({
  seconds,
  work,
  side,
  direction,
  station,
  set,
  rep,
  round,
}: PlayedSegment): RepDone {
  const place = { round, side, direction, station, set, rep };
  return { ...place, held: work === 'held' ? seconds : 0, moved: work === 'moved' ? seconds : 0 };
}

/** The repetitions of one line; drawn records ask for the same line on many days. */
const repsOfLines = new WeakMap<
  SentVersion['lines'][number],
  Record<'least' | 'most', RepDone[]>
>();

function repsOfLine(
  line: SentVersion['lines'][number],
  rounds: number,
  end: 'least' | 'most',
): RepDone[] {
  const laid = (at: 'least' | 'most') =>
    resolve(sessionTimeline([line], rounds), at)
      .filter(({ endsRep, work }) => endsRep || work === 'held')
      .slice(0, 60)
      .map(repOf);
  const known = repsOfLines.get(line) ?? { least: laid('least'), most: laid('most') };
  repsOfLines.set(line, known);
  return known[end];
}

/** What a patient tells of one session's lines, some of it cut short or left out. */
function sessionBodies(
  version: SentVersion,
  lineages: readonly string[],
  dice: Dice,
): SessionEventBody[] {
  const bodies: SessionEventBody[] = [{ type: 'started' }];
  for (const line of version.lines.filter(({ lineage }) => lineages.includes(lineage))) {
    const skipped = dice.under(12) ? dice.of(SKIP_REASONS) : null;
    const reps = repsOfLine(line, version.rounds, dice.under(20) ? 'most' : 'least');
    const kept = skipped ? 0 : dice.under(15) ? Math.ceil(reps.length * 0.4) : reps.length;
    bodies.push({ type: 'line', lineage: line.lineage, reps: reps.slice(0, kept), skipped });
  }
  if (dice.under(6))
    bodies.push({ type: 'stopped', because: dice.of(['enough', 'symptom'] as const) });
  else if (dice.under(92)) bodies.push({ type: 'ended' });
  if (dice.under(80))
    bodies.push({
      type: 'check-in',
      pain: dice.under(90) ? dice.of([0, 1, 2, 2, 3, 4, 6]) : null,
      ...(dice.under(70) && { effort: dice.of([2, 4, 5, 7, 8]) }),
      word: dice.under(20) ? 'easier' : '',
    });
  return bodies;
}

function dayBodies(date: LocalDate, dice: Dice): SessionEventBody[] {
  const bodies: SessionEventBody[] = [];
  if (dice.under(60))
    bodies.push({
      type: 'morning',
      date,
      soreness: dice.of([...SORENESS, 'none', 'none', 'settled']),
    });
  if (dice.under(75))
    bodies.push({
      type: 'daily',
      date,
      worst: dice.under(90) ? dice.of([0, 1, 2, 3, 4, 5, 7, 9]) : null,
      where: dice.under(60) ? [dice.of(REGIONS), dice.of(REGIONS)] : [],
      headache: dice.of([true, false, null]),
      note: dice.under(10) ? 'long drive' : '',
    });
  if (dice.under(8))
    bodies.push({
      type: 'weekly',
      date,
      activities: [{ activity: 'rowing', score: dice.of([2, 4, 6, 8]) }],
    });
  if (dice.under(6))
    bodies.push({
      type: 'report',
      lineage: null,
      report: {
        complaint: dice.of(COMPLAINTS),
        severity: dice.roll() % 11,
        compared: 'as usual',
        furthest: null,
      },
      advice: dice.of(ADVICE),
    });
  return bodies;
}

/** A day's events as they are kept; the phone's clock is off by an hour now and then. */
function eventsOn(date: LocalDate, version: SentVersion, dice: Dice): KeptEvent[] {
  const events: KeptEvent[] = [];
  const tell = (
    sessionId: string,
    sessionKey: string,
    minute: number,
    bodies: readonly SessionEventBody[],
  ) => {
    const skewMs = dice.under(10) ? 3_600_000 : 0;
    const start = instantAt(ZONE, date, minute as never) - skewMs;
    bodies.forEach((body, i) => {
      const offsetMs = i * 60_000;
      events.push({
        id: String(events.length).padStart(5, '0'),
        sessionId,
        sessionKey,
        version: version.number,
        body,
        deviceAt: start + offsetMs,
        skewMs,
        offsetMs,
      });
    });
  };
  const { sessions } = sessionsOn(date, version.lines, WAKING, version.reviewOn);
  sessions.slice(0, 4).forEach(({ key, lines }, i) => {
    if (dice.under(75))
      tell(
        `${date} ${key}`,
        key,
        480 + i * 180,
        sessionBodies(
          version,
          lines.map(({ lineage }) => lineage),
          dice,
        ),
      );
  });
  tell(`${date} day`, DAY_KEY, dice.under(5) ? 4700 : 1200, dayBodies(date, dice));
  return events;
}

export type RecordCase = {
  readonly record: FollowRecord;
  readonly events: ReadonlyMap<LocalDate, readonly KeptEvent[]>;
  readonly folded: ReadonlyMap<LocalDate, FoldedDay>;
  readonly today: LocalDate;
};

/** A patient of up to six weeks. */
export const recordCase: fc.Arbitrary<RecordCase> = fc
  .tuple(
    plannedLines,
    plannedLines,
    fc.array(fc.nat({ max: 99 }), { minLength: 61, maxLength: 61 }),
    fc.integer({ min: 6, max: 44 }),
    fc.subarray(Object.keys(PRECAUTIONS) as PrecautionId[], { maxLength: 2 }),
  )
  .map(([first, second, rolls, days, precautions]) => {
    const dice = new Dice(rolls);
    const today = addDays(FIRST, days);
    const versions = [
      sentVersion(1, 0, first),
      ...(days > 20 ? [sentVersion(2, 15, [...first.slice(0, 1), ...second.slice(1)])] : []),
    ];
    const events = new Map<LocalDate, readonly KeptEvent[]>();
    const folded = new Map<LocalDate, FoldedDay>();
    for (let day = 0; day <= days; day += 1) {
      const date = addDays(FIRST, day);
      const version = versionOn(versions, date);
      if (!version || dice.under(12)) continue;
      const told = eventsOn(date, version, dice);
      events.set(date, told);
      folded.set(date, foldEvents(date, told, versions, { zone: ZONE, waking: WAKING }));
    }
    const open = dice.under(8);
    return {
      today,
      events,
      folded,
      record: {
        facts: {
          today,
          zone: ZONE,
          waking: WAKING,
          versions,
          pauses: open
            ? [{ from: addDays(today, -1), to: null }]
            : dice.under(25)
              ? [{ from: addDays(FIRST, 4), to: addDays(FIRST, 6) }]
              : [],
          done: new Map([...folded].map(([date, { done }]) => [date, done])),
        },
        reports: new Map([...folded].map(([date, { report }]) => [date, report])),
        precautions,
        screenedOn: dice.under(80) ? addDays(today, -dice.of([1, 60, 89, 91])) : null,
        home: dice.under(40)
          ? null
          : {
              props: dice.of([['soft ball'], [], ['flat band', 'weights']]),
              weights: [1, 2, 4],
              unit: 'kg',
              cannot: dice.under(20) ? ['face down'] : [],
              busy: [],
            },
        faults: new Map(dice.under(10) ? [['line-1', 1]] : []),
        decisions: [],
        deficitSince: dice.under(6) ? addDays(today, -2) : null,
        episodeFrom: null,
        improved: new Map(),
        stepSlides: false,
      },
    };
  });
