import type { SessionEventBody } from '../adherence';
import { type Instant, type WallMinute, type Zone, instantAt, minuteIn } from '../schedule';
import { parseDose } from '../dose';
import { addDays, localDate } from '../units';
import {
  DAY_KEY,
  type KeptEvent,
  OLDEST_ENTRY_DAYS,
  foldEvents,
  keptUnder,
  sessionBegan,
  withTarget,
} from '.';

const LISBON = 'Europe/Lisbon' as Zone;
const DAY = localDate('2026-11-25');
const HOUR_MS = 3_600_000;
const at = (hour: number, minute = 0) =>
  instantAt(LISBON, DAY, (hour * 60 + minute) as WallMinute) as number;
const waking = { wake: 420 as WallMinute, sleep: 1320 as WallMinute };

const dose = parseDose('2x10s');
if (!dose.ok) throw new Error(dose.say);
const line = withTarget(
  { lineage: 'tuck', anchor: DAY, dose: dose.value, mode: 'held', position: 'lying' },
  1,
);
const version = (number: number) => ({
  number,
  effectiveFrom: DAY,
  reviewOn: null,
  rounds: 1,
  lines: [line],
});

function event(body: SessionEventBody, change: Partial<KeptEvent> = {}): KeptEvent {
  return {
    id: 'a',
    sessionId: 'one',
    sessionKey: 'session-1',
    version: 1,
    body,
    deviceAt: at(9),
    skewMs: 0,
    offsetMs: 0,
    ...change,
  };
}
const told = (held: number): SessionEventBody => ({
  type: 'line',
  lineage: 'tuck',
  reps: [{ round: 1, side: null, direction: 1, station: 1, set: 1, rep: 1, held, moved: 0 }],
  skipped: null,
});
const checkIn = (pain: number | null): SessionEventBody => ({
  type: 'check-in',
  pain,
  effort: null,
  word: '',
});
const fold = (...events: KeptEvent[]) =>
  foldEvents(DAY, events, [version(1)], { zone: LISBON, waking });

describe('what happened at one moment', () => {
  it('folds to the same in whatever order it arrived', () => {
    const first = event(checkIn(3), { id: 'a' });
    const second = event(checkIn(6), { id: 'b' });
    expect(fold(first, second).pain).toBe(6);
    expect(fold(second, first)).toEqual(fold(first, second));
    // So for what is told of the day.
    const told = (id: string, worst: number) =>
      event(
        { type: 'daily', date: DAY, worst, where: [], headache: null, note: '' },
        { id, sessionKey: DAY_KEY },
      );
    expect(fold(told('a', 2), told('b', 5)).report).toEqual(
      fold(told('b', 5), told('a', 2)).report,
    );
  });
});

describe('when a session began', () => {
  const received = at(12) as Instant;
  it('is reckoned back from its newest event, the device’s clock put right by what it said at sending', () => {
    const newest = { deviceAt: at(11) + 3 * 86_400_000, offsetMs: 20 * 60_000 };
    // Three days ahead at the event and at sending, half an hour later.
    const began = sessionBegan(newest, at(11, 30) + 3 * 86_400_000, received);
    expect(minuteIn(LISBON, began)).toBe(11 * 60 + 10);
  });
  it('an hour in the afternoon is that hour', () => {
    expect(minuteIn(LISBON, at(7, 30) as Instant)).toBe(450);
    expect(minuteIn(LISBON, at(23, 59) as Instant)).toBe(1439);
  });
  it.each([
    ['61 days ago', -61 * 86_400_000, false],
    ['59 days ago', -59 * 86_400_000, true],
    ['three minutes to come', 180_000, false],
    ['a minute to come', 60_000, true],
  ])('a clock that says %s', (_name, ahead, believed) => {
    const began = sessionBegan({ deviceAt: received + ahead, offsetMs: 5_000 }, received, received);
    expect(began).toBe(believed ? received + ahead - 5_000 : received - 5_000);
  });
});

describe('the day an event is kept under', () => {
  const daily = (date: typeof DAY): SessionEventBody => ({
    type: 'morning',
    date,
    soreness: 'none',
  });
  it('is the day it is about, up to a fortnight back and never to come', () => {
    const about = (days: number) => keptUnder(daily(addDays(DAY, days)), DAY);
    expect(about(-1)).toBe(addDays(DAY, -1));
    expect(about(-OLDEST_ENTRY_DAYS)).toBe(addDays(DAY, -OLDEST_ENTRY_DAYS));
    expect(about(-OLDEST_ENTRY_DAYS - 1)).toBe(DAY);
    expect(about(1)).toBe(DAY);
    expect(keptUnder({ type: 'ended' }, DAY)).toBe(DAY);
  });
});

describe('a day’s fold', () => {
  it('is the same in whatever order its events arrive', () => {
    const events = [
      event({ type: 'started' }),
      event(told(10), { offsetMs: 12_000, deviceAt: at(9) + 12_000 }),
      event({ type: 'ended' }, { offsetMs: 20_000, deviceAt: at(9) + 20_000 }),
      event(checkIn(3), { offsetMs: 30_000, deviceAt: at(9) + 30_000 }),
    ];
    const whole = fold(...events);
    expect(whole.done.sessions).toMatchObject([
      { key: 'session-1', state: 'ended', share: 0.5, minute: 540, pain: 3 },
    ]);
    expect(fold(...[...events].reverse())).toEqual(whole);
  });

  it('counts a set as the patient last counted it, whatever the clock had played', () => {
    const place = { round: 1, side: null, direction: 1, station: 1, set: 1 };
    const count = (reps: number | null, seconds: number, amount: number | null = null) =>
      event(
        {
          type: 'count',
          lineage: 'tuck',
          ...place,
          reps,
          load: amount === null ? null : { amount, unit: 'kg' },
        },
        { offsetMs: seconds * 1000, deviceAt: at(9) + seconds * 1000 },
      );
    const events = [event(told(10)), count(5, 30, 4), count(2, 40, 5)];
    const [session] = fold(...events).done.sessions;
    expect(session?.lines).toMatchObject([
      {
        reps: 2,
        sets: [2],
        share: 1,
        heldSeconds: 20,
        counted: [{ set: 1, reps: 2, load: { amount: 5, unit: 'kg' } }],
      },
    ]);
    expect(fold(...[...events].reverse()).done.sessions).toEqual([session]);
    // Told before anything of it was played, or of a set that was not counted.
    expect(fold(count(3, 1)).done.sessions[0]?.lines).toMatchObject([{ reps: 3, sets: [3] }]);
    expect(fold(event(told(10)), count(null, 5, 4)).done.sessions[0]?.lines).toMatchObject([
      { reps: 1, counted: [{ reps: null, load: { amount: 4 } }] },
    ]);
    expect(fold(event(told(10))).done.sessions[0]?.lines[0]).not.toHaveProperty('counted');
  });

  it('tells the pain of the session that ended last, by the clocks put right', () => {
    const session = (id: string, hour: number, pain: number | null, skewMs = 0) =>
      event(checkIn(pain), { sessionId: id, deviceAt: at(hour) - skewMs, skewMs });
    expect(fold(session('b', 9, 2), session('a', 18, 6)).pain).toBe(6);
    expect(fold(session('a', 18, 6), session('b', 9, 2)).pain).toBe(6);
    // This one's clock is ten hours slow: it ended at 20, not at 10.
    expect(fold(session('a', 18, 6), session('c', 20, 1, 10 * HOUR_MS)).pain).toBe(1);
    expect(fold(session('a', 9, 4), session('b', 18, null)).pain).toBe(4);
    expect(fold(event({ type: 'started' })).pain).toBeNull();
  });

  it('leaves out what was done by an unknown version, and keeps what was told', () => {
    const folded = fold(event(told(10), { version: 9 }), event(checkIn(5), { version: 9 }));
    expect(folded.done.sessions).toEqual([]);
    expect(folded.pain).toBeNull();
    expect(folded.report.pains).toEqual([5]);
  });

  it('what is told of the day is no session, and a later word counts', () => {
    const daily = (worst: number, hour: number) =>
      event(
        { type: 'daily', date: DAY, worst, where: [], headache: null, note: '' },
        { sessionKey: DAY_KEY, sessionId: `day-${hour}`, deviceAt: at(hour) },
      );
    const folded = fold(daily(7, 20), daily(3, 10));
    expect(folded.done.sessions).toEqual([]);
    expect(folded.report).toMatchObject({ worst: 7, recalled: false });
  });

  it('is recalled when it was told more than 48 hours after its day', () => {
    const late = (hours: number) =>
      fold(
        event(
          { type: 'morning', date: DAY, soreness: 'none' },
          { sessionKey: DAY_KEY, deviceAt: at(24) + hours * HOUR_MS },
        ),
      ).report.recalled;
    expect([late(48), late(48.1)]).toEqual([false, true]);
  });
});
