import { ZONE, recordCase } from '../../../tests/support/record-cases';
import { FIRST } from '../../../tests/support/programme-cases';
import { asLine, digest, drawnCases, rounded } from '../../../tests/support/worked';
import { foldSession, summarise } from '../adherence';
import { painForPatient } from '../follow';
import { type Instant, instantAt } from '../schedule';
import { addDays } from '../units';
import {
  adherenceHistory,
  dayOfEvent,
  firstDay,
  foldDay,
  foldReport,
  isPausedOn,
  keptUnder,
  lastDays,
  progressOver,
  sessionBegan,
  sessionKeysOn,
  sessionsDone,
  worstPain,
} from '.';

const CASES = drawnCases(recordCase, 24);

it('days folded from what a phone told', () => {
  expect(
    CASES.map(({ folded }) => {
      const days = [...folded.values()];
      const [first] = days;
      return asLine(
        days.length,
        digest(rounded(days)),
        days
          .map(
            ({ done, pain, report }) =>
              `${sessionsDone(done)}/${done.sessions.length} ${pain ?? '-'} ${worstPain(report) ?? '-'}${report.recalled ? ' r' : ''}`,
          )
          .join('; '),
        rounded(first?.done.sessions.slice(0, 1)),
      );
    }),
  ).toMatchSnapshot();
});

it('adherence and progress over the record', () => {
  expect(
    CASES.map(({ record, today }) => {
      const days = adherenceHistory(record.facts, addDays(FIRST, -2), addDays(today, 2));
      const {
        sessions,
        pain,
        activities,
        holds,
        days: shown,
      } = progressOver(record.facts, record.reports, painForPatient);
      return asLine(
        days
          .map((day) =>
            day.kind === 'due'
              ? `${Math.round(day.share * 100)}${day.isToday ? '*' : ''}:${day.sessionsDone}/${day.sessionsDue}${day.extraSeconds > 0 ? `+${Math.round(day.extraSeconds)}` : ''}`
              : day.kind[0],
          )
          .join(' '),
        rounded(summarise(days)),
        sessions,
        rounded([pain, activities, holds]),
        shown.map(({ worst, done }) => `${worst ?? '-'}${done}`).join(''),
      );
    }),
  ).toMatchSnapshot();
});

it('what a day asks, pauses and spans', () => {
  expect(
    CASES.map(({ record, today }) => {
      const { versions, waking, pauses } = record.facts;
      const [version] = versions;
      return asLine(
        firstDay(versions),
        version ? [...sessionKeysOn(version, addDays(FIRST, 3), waking)] : [],
        [3, 4, 6, 7, 40].map((day) => isPausedOn(pauses, addDays(FIRST, day))),
        lastDays(today, 14),
      );
    }),
  ).toMatchSnapshot();
});

it('clocks that are wrong, and entries about other days', () => {
  const received = instantAt(ZONE, addDays(FIRST, 10), 600 as never);
  const [minute, day] = [60_000, 86_400_000];
  const told = [
    0,
    5 * minute,
    -5 * minute,
    day,
    60 * day - minute,
    60 * day + minute,
    -minute,
    -120_000,
    -119_999,
    -121_000,
    400 * day,
  ];
  expect(
    told.map((ago) => {
      const deviceAt = received - ago;
      return [
        sessionBegan({ deviceAt, offsetMs: 0 }, received, received) - received,
        sessionBegan({ deviceAt, offsetMs: 3 * minute }, received, received) - received,
        sessionBegan(
          { deviceAt: deviceAt + 7 * day, offsetMs: minute },
          received + 7 * day,
          received,
        ) - received,
        sessionBegan({ deviceAt, offsetMs: minute }, deviceAt, (received + 1) as Instant) -
          received,
      ];
    }),
  ).toMatchSnapshot();
  const daily = (about: number) => ({
    type: 'daily' as const,
    date: addDays(FIRST, about),
    worst: 3,
    where: [],
    headache: null,
    note: '',
  });
  const on = addDays(FIRST, 20);
  expect(
    [4, 5, 6, 7, 19, 20, 21].map((about) => [
      dayOfEvent(daily(about), on),
      keptUnder(daily(about), on),
    ]),
  ).toMatchSnapshot();
  expect(keptUnder({ type: 'ended' }, on)).toBe(on);
});

it('reports folded one event after another', () => {
  const date = FIRST;
  const bodies = [
    {
      type: 'daily',
      date,
      worst: 5,
      where: ['front left hand', 'back right calf'],
      headache: true,
      note: 'a',
    },
    { type: 'daily', date, worst: null, where: [], headache: null, note: '' },
    { type: 'check-in', pain: 4, effort: 6, word: 'b' },
    { type: 'check-in', pain: null, word: '' },
    { type: 'check-in', pain: 1, effort: null, word: '' },
    { type: 'morning', date, soreness: 'flare' },
    { type: 'weekly', date, activities: [{ activity: 'rowing', score: 4 }] },
    {
      type: 'report',
      lineage: null,
      report: { complaint: 'dizzy', severity: 4, compared: 'new', furthest: null },
      advice: 'stop and call',
    },
    { type: 'started' },
    { type: 'ended' },
    { type: 'stopped', because: 'enough' },
    { type: 'line', lineage: 'a', reps: [], skipped: null },
  ] as const;
  expect(
    bodies.map((_, i) =>
      foldReport(bodies.slice(0, i + 1).map((body) => ({ body, recalled: false }))),
    ),
  ).toMatchSnapshot();
  expect(bodies.map((body) => foldReport([{ body, recalled: true }]).recalled)).toMatchSnapshot();
});

it('a session of a version without lines has no share', () => {
  const [one] = CASES;
  const [version] = one?.record.facts.versions ?? [];
  if (!one || !version) throw new Error('no case');
  const summary = foldSession('a', FIRST, [{ type: 'ended' }]);
  const played = { summary, key: 'session-1', version: { ...version, lines: [] }, minute: 480 };
  expect(foldDay(FIRST, [played], one.record.facts.waking).sessions[0]?.share).toBe(0);
});
