import { NO_SETTINGS, SCHOOLS, beyondBounds, schoolsFor, startDose } from '../school';
import fc from 'fast-check';
import { EXERCISES, SHIPPED } from '@/catalogue';
import { nextRungIn } from '../choose';
import { formatDose, parseDose, doseOf } from '../dose';
import type { Exercise, SchoolId } from '../exercise';
import type { SessionName, WallMinute, Zone } from '../schedule';
import { resolve, sessionTimeline, totalSeconds } from '../timeline';
import { addDays, localDate } from '../units';
import {
  type PlannedLine,
  cheapestCuts,
  cutText,
  dayTimer,
  fullestDay,
  lineAhead,
  lookAhead,
  plannedLine,
  programmeCalendar,
  versionDifference,
} from '.';

const from = localDate('2026-11-23');
const waking = { wake: 420 as WallMinute, sleep: 1320 as WallMinute };
const frame = { from, review: null, rounds: 1 };
const nextRung = nextRungIn(EXERCISES);
const exercise = (id: string): Exercise => {
  const found = SHIPPED.byId(id);
  if (!found) throw new Error(id);
  return found;
};
const line = (
  id: string,
  dose: string,
  school: SchoolId | null = null,
  session: SessionName | null = null,
): PlannedLine =>
  plannedLine(
    `${id} ${dose}`,
    exercise(id),
    doseOf(dose),
    from,
    school && { id: school, settings: NO_SETTINGS },
    session,
  );

describe('the time of a day', () => {
  const anyLine = fc
    .constantFrom(...EXERCISES)
    .map((one) => plannedLine(one.id, one, doseOf(one.usualDose), from));

  it('is the sum of the segments that the player plays, for any programme', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(anyLine, { maxLength: 8, selector: ({ lineage }) => lineage }),
        fc.integer({ min: 1, max: 3 }),
        fc.nat(13),
        (lines, rounds, ahead) => {
          const day = dayTimer({ ...frame, rounds }, waking)(lines, addDays(from, ahead));
          for (const end of ['least', 'most'] as const) {
            const played = day.sessions.map((session) =>
              totalSeconds(resolve(sessionTimeline(session.lines, rounds), end)),
            );
            expect(day.total[end]).toBeCloseTo(
              played.reduce((sum, one) => sum + one, 0),
              6,
            );
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('puts a line done once into the evening where it was told to', () => {
    const day = fullestDay(
      [line('tuck-seated', 'x10 hold 2s 2/day'), line('chest-stretch', '2x30s', null, 'evening')],
      frame,
      waking,
    );
    expect(day?.sessions.map(({ lines }) => lines.length)).toEqual([1, 2]);
    expect(
      fullestDay([line('chest-stretch', '2x30s', null, 'evening')], frame, waking)?.sessions.map(
        ({ key }) => key,
      ),
    ).toEqual(['session-2']);
    const three = [
      line('tuck-seated', 'x10', null, 'midday'),
      line('tuck-lying', '10x10s', null, 'evening'),
      line('blade-set', 'x10'),
    ];
    expect(
      fullestDay(three, frame, waking)?.sessions.map(({ lines }) => lines[0]?.exercise.id),
    ).toEqual(['blade-set', 'tuck-seated', 'tuck-lying']);
  });
});

describe('the calendar', () => {
  const phases = [
    line('straight-leg-raise', '2x20 left daily until 14 days'),
    line('straight-leg-raise', '3x10-15 left every other day from day 15 until review'),
  ];
  const days = programmeCalendar(
    phases,
    { ...frame, review: localDate('2027-01-04') },
    waking,
    'Europe/Lisbon' as Zone,
    45,
  );

  it('starts week three with 3 × 10–15, has rest days after it, and ends at the review (common practice, no source)', () => {
    expect(days.slice(0, 14).every(({ isRest }) => !isRest)).toBe(true);
    expect(days[13]?.ends).toEqual(['Straight leg raise']);
    expect(days[14]).toMatchObject({
      date: '2026-12-07',
      begins: ['Straight leg raise'],
      isRest: false,
    });
    expect(days[15]?.isRest).toBe(true);
    expect(days.find(({ isReview }) => isReview)?.date).toBe('2027-01-04');
    expect(days.at(-1)?.isRest).toBe(true);
  });

  it('leaves out a day that a zone never had, and loses none to a changed clock', () => {
    const dates = (zone: string, start: string, count: number) =>
      programmeCalendar(
        [line('tuck-lying', '10x10s')],
        { ...frame, from: localDate(start) },
        waking,
        zone as Zone,
        count,
      ).map(({ date }) => date);
    // Pacific/Apia had no 30 December 2011; Lisbon put its clocks back on 2026-10-25 (IANA database).
    expect(dates('Pacific/Apia', '2011-12-29', 3)).toEqual(['2011-12-29', '2011-12-31']);
    expect(dates('Europe/Lisbon', '2026-10-24', 3)).toHaveLength(3);
    expect(dates('Australia/Lord_Howe', '2026-10-03', 3)).toHaveLength(3);
  });
});

describe('the minutes a patient sets aside', () => {
  it('are asked for without the resets of the day, which stand apart', () => {
    const lines = [line('tuck-lying', '10x10s daily'), line('posture-reset', '60s every 30min')];
    const day = fullestDay(lines, frame, waking);
    const alone = fullestDay(lines.slice(0, 1), frame, waking);
    expect(day?.setAside).toEqual(alone?.total);
    expect(day && day.total.least > day.setAside.least + 20 * 60).toBe(true);
    // Leaving out the resets would give the patient no minute back.
    const cuts = cheapestCuts(lines, frame, waking, 1, () => []);
    expect(cuts.map(({ say }) => say).join()).not.toContain('Posture reset');
  });
});

describe('looking ahead', () => {
  it('shows what success will take in weeks 2, 4 and 6', () => {
    const weeks = lookAhead(
      [line('prone-neck-hold', '3x30s gap 60s rpe 3-5 daily', 'lengthen')],
      frame,
      [2, 4, 6],
      { nextRung, waking },
    );
    // By then the wall press of the next step is held for its sixty seconds.
    expect(weeks.map(({ heldSecondsAWeek }) => heldSecondsAWeek.least)).toEqual([945, 1260, 1260]);
    // After two weeks: 30 → 45 → 60 s, a week on the step, the next step, 30 → 45 s.
    expect(weeks[0]?.lines[0]).toMatchObject({
      exercise: { id: 'wall-press' },
      steps: [
        expect.stringContaining('3x45s'),
        expect.stringContaining('3x60s'),
        expect.stringContaining('Wall press'),
        expect.stringContaining('3x45s'),
      ],
    });
  });

  it('promises the pace that the rules take: a step after so many good sessions, no sooner', () => {
    const taken = (
      text: string,
      days: number,
      more: Partial<Parameters<typeof lineAhead>[3]> = {},
      school: SchoolId = 'lengthen',
      exercise = 'prone-neck-hold',
    ) =>
      lineAhead(line(exercise, text, school), from, days, { nextRung, waking, ...more }).steps
        .length;
    const daily = '3x30s gap 60s rpe 3-5 daily';
    expect([1, 2, 3, 5, 6].map((days) => taken(daily, days))).toEqual([0, 0, 1, 1, 2]);
    // Days between sessions count for nothing, and neither do several sessions of one day.
    expect([4, 5].map((days) => taken(daily.replace('daily', 'every other day'), days))).toEqual([
      0, 1,
    ]);
    expect([2, 3].map((days) => taken(`${daily.slice(0, -6)} 3/day daily`, days))).toEqual([0, 1]);
    expect([4, 5].map((days) => taken(daily, days, { goodSessions: 5 }))).toEqual([0, 1]);
    // What the rules never propose is never promised.
    expect(taken(daily, 40, { precautions: ['pressure or heart'] })).toBe(0);
    expect(
      taken('10-6-max-max 10/15/20/adj kg rest 2min daily', 40, {}, 'adjustable', 'band-row'),
    ).toBe(0);
    expect(taken('x10 daily', 40, {}, 'repeated', 'press-up')).toBeGreaterThan(0);
    expect(taken('3x30s daily until 2 days', 40)).toBe(0);
  });

  it('leaves a line without a school, and one that has not begun, as they are', () => {
    expect(lineAhead(line('tuck-lying', '10x10s'), from, 100, { nextRung, waking })).toMatchObject({
      steps: [],
    });
    expect(
      lineAhead(line('tuck-lying', '10x10s from day 60', 'lengthen'), from, 40, {
        nextRung,
        waking,
      }),
    ).toMatchObject({ steps: [] });
  });

  it('never breaks its school’s bounds, and never leaves the stairs', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...EXERCISES),
        fc.nat(process.env.EVERY_CASE ? 400 : 120),
        (one, days) => {
          for (const id of schoolsFor(one)) {
            const planned = plannedLine('x', one, startDose(id, one, NO_SETTINGS), from, {
              id,
              settings: NO_SETTINGS,
            });
            const then = lineAhead(planned, from, days, { nextRung, waking });
            expect(then.exercise.family).toBe(one.family);
            expect(then.exercise.rung).toBeGreaterThanOrEqual(one.rung);
            if (then.exercise === one) expect(beyondBounds(SCHOOLS[id], then.dose)).toBeNull();
            expect(parseDose(formatDose(then.dose)).ok).toBe(true);
          }
        },
      ),
      { numRuns: process.env.EVERY_CASE ? 60 : 6 },
    );
  });
});

describe('cuts where the day is too long', () => {
  const lines = [
    line('tuck-lying', '10x10s gap 5s 2/day daily'),
    line('wall-press', '3x30s gap 60s rpe 4 daily'),
    line('blade-set', 'x10 hold 5s gap 3s daily'),
  ];
  const uncovered = (left: readonly PlannedLine[]) =>
    left.some(({ exercise: { id } }) => id === 'wall-press') ? [] : ['headache'];

  it('offers first what loses no finding, then what saves most', () => {
    const cuts = cheapestCuts(lines, frame, waking, 5, uncovered);
    expect(cuts.map(({ loses }) => loses.length)).toEqual(
      [...cuts.map(({ loses }) => loses.length)].sort(),
    );
    expect(cuts[0]?.loses).toEqual([]);
    const kept = cuts.filter(({ loses }) => loses.length === 0).map(({ saves }) => saves);
    expect(kept).toEqual([...kept].sort((a, b) => b - a));
    expect(
      cuts.find(
        ({ dose }) => dose !== null && cutText({ dose } as never) === '10x10s gap 5s 1/day daily',
      ),
    ).toBeDefined();
  });

  it('says truly what each saves', () => {
    const [cut] = cheapestCuts(lines, frame, waking, 5, uncovered);
    if (!cut) throw new Error('no cut');
    const left =
      cut.dose === null
        ? lines.filter((one) => one !== cut.line)
        : lines.map((one) => (one === cut.line ? { ...one, dose: cut.dose ?? one.dose } : one));
    const [before, after] = [fullestDay(lines, frame, waking), fullestDay(left, frame, waking)];
    expect((before?.total.least ?? 0) - (after?.total.least ?? 0)).toBe(cut.saves);
  });

  it('offers nothing where it fits', () => {
    expect(cheapestCuts(lines, frame, waking, 60, uncovered)).toEqual([]);
  });
});

it('tells versions apart in words', () => {
  const version = (rounds: number, ...doses: (readonly [string, string, SessionName?])[]) => ({
    rounds,
    lines: doses.map(([name, dose, session]) => ({
      lineage: name,
      name,
      dose: doseOf(dose),
      session: session ?? null,
    })),
  });
  expect(
    versionDifference(
      version(1, ['Wall press', '3x30s rest 30s'], ['Blade set', 'x10'], ['Tuck', '10x10s']),
      version(
        2,
        ['Tuck', '10x10s', 'evening'],
        ['Wall press', '3x30s rest 60s'],
        ['Stretch', '30s'],
      ),
    ),
  ).toEqual([
    'Times through 1 → 2',
    'Tuck: session any → evening',
    'Wall press: gap 30s → 60s',
    'Added: Stretch',
    'Left out: Blade set',
    'The order changed',
  ]);
  expect(versionDifference(version(1, ['Tuck', '10x10s']), version(1, ['Tuck', '10x10s']))).toEqual(
    [],
  );
});
