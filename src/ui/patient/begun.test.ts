import type { PackDay, PackSession, PatientPack } from '@/core/exchange';
import { addDays, localDate } from '@/core/units';
import { type Begun, dayShown, playingOf, sessionOf } from './begun';
import type { KeptSession } from './device/store';

const TODAY = localDate('2026-12-01');
const session = (key: string, ...lines: number[]) =>
  ({ key, label: key, lines }) as unknown as PackSession;
const day = (ahead: number, change: Partial<PackDay> = {}) =>
  ({
    date: addDays(TODAY, ahead),
    paused: 'no',
    programme: { version: 2, rounds: 1 },
    sessions: [session('session-1', 0, 1)],
    extra: session('as-needed', 2),
    ...change,
  }) as unknown as PackDay;
const pack = (...days: PackDay[]) => ({ days }) as unknown as PatientPack;
const PACK = pack(day(0), day(1, { sessions: [session('session-1', 3)] }));
const begun = (change: Partial<Begun> = {}): Begun => ({
  key: 'session-1',
  end: 'least',
  kept: null,
  on: TODAY,
  ...change,
});

describe('what was touched to begin', () => {
  it('plays as the newest pack has it', () => {
    expect(playingOf(begun({ end: 'most' }), PACK, TODAY, false)).toEqual({
      pack: PACK,
      day: PACK.days[0],
      session: session('session-1', 0, 1),
      end: 'most',
      kept: null,
    });
    expect(playingOf(begun({ key: 'as-needed' }), PACK, TODAY, false)?.session.lines).toEqual([2]);
  });

  it('begins nothing that was shown on another day', () => {
    // The page was kept yesterday: its session has the same name, and other exercises.
    const tomorrow = addDays(TODAY, 1);
    expect(playingOf(begun(), PACK, tomorrow, false)).toBeNull();
    expect(playingOf(begun({ on: tomorrow }), PACK, tomorrow, false)?.session.lines).toEqual([3]);
  });

  it('begins nothing that is not there any more: another version, a day beyond the pack, a stop', () => {
    expect(playingOf(begun({ key: 'session-2' }), PACK, TODAY, false)).toBeNull();
    const far = addDays(TODAY, 40);
    expect(playingOf(begun({ on: far }), PACK, far, false)).toBeNull();
    expect(playingOf(begun(), PACK, TODAY, true)).toBeNull();
    expect(playingOf(begun({ key: 'as-needed' }), PACK, TODAY, true)).toBeNull();
  });

  it('goes on with what was left off in this version only', () => {
    const left = (version: number) => ({ version, index: 7 }) as KeptSession;
    expect(playingOf(begun({ kept: left(2) }), PACK, TODAY, false)?.kept?.index).toBe(7);
    expect(playingOf(begun({ kept: left(1) }), PACK, TODAY, false)).toBeNull();
  });
});

it('a day after a stop has nothing to begin, whatever the pack says', () => {
  expect(dayShown(PACK, TODAY, true)).toMatchObject({
    paused: 'after a stop',
    sessions: [],
    extra: null,
  });
  expect(dayShown(PACK, TODAY, false)).toBe(PACK.days[0]);
  expect(dayShown(PACK, addDays(TODAY, 40), true)).toBeNull();
});

it('a session of a day is found by its key, also the one beyond the plan', () => {
  expect(sessionOf(day(0), 'as-needed')?.lines).toEqual([2]);
  expect(sessionOf(day(0, { extra: null }), 'as-needed')).toBeNull();
});
