import { parseDose } from '../dose';
import type { WallMinute, Zone } from '../schedule';
import { type LocalDate, addDays, localDate } from '../units';
import { painForPatient } from '../follow';
import { type DayDone, NO_REPORT, type ProgressFacts, progressOver, withTarget } from '.';

const START = localDate('2026-11-02');
const TODAY = localDate('2026-11-25');

function line(text: string, name = 'Tuck') {
  const parsed = parseDose(text);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.say}`);
  const facts = { lineage: name, anchor: START, dose: parsed.value };
  return {
    ...withTarget({ ...facts, mode: 'held', position: 'lying' }, 1),
    exercise: { name },
  };
}

const version = (number: number, effectiveFrom: LocalDate, ...doses: string[]) => ({
  number,
  effectiveFrom,
  reviewOn: null,
  rounds: 1,
  lines: doses.map((dose) => line(dose)),
});

/** A session in full, or a share of one. */
const session = (key: string, share = 1): DayDone['sessions'][number] => ({
  id: `${key}-${share}`,
  key,
  share,
  state: 'ended',
  version: 1,
  minute: 480,
  pain: null,
  effort: null,
  lines: [],
});

function facts(change: Partial<ProgressFacts> = {}): ProgressFacts {
  return {
    zone: 'Etc/UTC' as Zone,
    waking: { wake: 420 as WallMinute, sleep: 1320 as WallMinute },
    today: TODAY,
    versions: [version(1, START, '10x10s')],
    pauses: [],
    done: new Map(),
    ...change,
  };
}

const doneOn = (dates: readonly LocalDate[], sessions = [session('session-1')]) =>
  new Map(dates.map((date): [LocalDate, DayDone] => [date, { lines: [], sessions }]));

const worst = (...pains: number[]) =>
  new Map(pains.map((pain, index) => [addDays(START, index), { ...NO_REPORT, worst: pain }]));

const NOTHING_TOLD = new Map();

describe('sessions of the last fourteen days', () => {
  it('counts the due ones up to yesterday, and today’s only once they are done', () => {
    const three = [0, -1, -2].map((ago) => addDays(TODAY, ago));
    expect(progressOver(facts(), NOTHING_TOLD, painForPatient).sessions).toEqual({
      done: 0,
      due: 13,
      days: 14,
    });
    expect(
      progressOver(facts({ done: doneOn(three) }), NOTHING_TOLD, painForPatient).sessions,
    ).toEqual({
      done: 3,
      due: 14,
      days: 14,
    });
  });

  it('counts a session done twice once, and one hardly begun or beyond the plan not at all', () => {
    const day = [addDays(TODAY, -1)];
    const done = (sessions: DayDone['sessions'][number][]) =>
      progressOver(facts({ done: doneOn(day, sessions) }), NOTHING_TOLD, painForPatient).sessions
        ?.done;
    expect(done([session('session-1'), session('session-1')])).toBe(1);
    expect(done([session('session-1', 0.05)])).toBe(0);
    expect(done([session('extra-1')])).toBe(0);
  });

  it('leaves out pauses and the days before the first version', () => {
    const pauses = [{ from: addDays(TODAY, -5), to: addDays(TODAY, -3) }];
    expect(progressOver(facts({ pauses }), NOTHING_TOLD, painForPatient).sessions?.due).toBe(10);
    const versions = [version(1, addDays(TODAY, -2), '10x10s')];
    expect(progressOver(facts({ versions }), NOTHING_TOLD, painForPatient).sessions).toEqual({
      done: 0,
      due: 2,
      days: 3,
    });
  });

  it('counts no posture beat as a session', () => {
    const versions = [version(1, START, '10x10s', 'x1 hold 5s every 2h')];
    expect(progressOver(facts({ versions }), NOTHING_TOLD, painForPatient).sessions?.due).toBe(13);
  });

  it('is nothing where nothing was due', () => {
    const pauses = [{ from: addDays(TODAY, -20), to: TODAY }];
    expect(progressOver(facts({ pauses }), NOTHING_TOLD, painForPatient).sessions).toBeNull();
  });

  it('is nothing without a programme, or before it begins', () => {
    expect(progressOver(facts({ versions: [] }), NOTHING_TOLD, painForPatient).days).toEqual([]);
    const versions = [version(1, addDays(TODAY, 1), '10x10s')];
    expect(progressOver(facts({ versions }), NOTHING_TOLD, painForPatient).sessions).toBeNull();
  });

  it('looks twelve weeks back and no further', () => {
    const versions = [version(1, addDays(TODAY, -400), '10x10s')];
    expect(progressOver(facts({ versions }), NOTHING_TOLD, painForPatient).days).toHaveLength(85);
  });
});

describe('pain, activities and holds', () => {
  it('says of the worst pains what the verdict says', () => {
    const falling = worst(...Array.from({ length: 30 }, (_, at) => Math.round(7 - at / 7)));
    const today = addDays(START, 29);
    expect(progressOver(facts({ today }), falling, painForPatient).pain).toMatchObject({
      said: 'down',
      from: 7,
    });
  });

  it('says nothing of pain while it is too early', () => {
    expect(progressOver(facts(), worst(6, 5, 4), painForPatient).pain).toBeNull();
  });

  it('puts the scores of an activity in the order of their days', () => {
    const scored = (score: number) => ({ ...NO_REPORT, activities: [{ activity: 'Ring', score }] });
    const told = new Map([
      [addDays(START, 14), scored(6)],
      [START, scored(4)],
      [addDays(START, 7), scored(5)],
    ]);
    expect(progressOver(facts(), told, painForPatient).activities).toMatchObject([
      { activity: 'Ring', from: 4, to: 6, scores: [{ score: 4 }, { score: 5 }, { score: 6 }] },
    ]);
  });

  it('tells a hold that has grown, and none that was made shorter or is new', () => {
    const later = addDays(START, 14);
    const grown = (first: string, then: string) =>
      progressOver(
        facts({ versions: [version(1, START, first), version(2, later, then)] }),
        NOTHING_TOLD,
        painForPatient,
      ).holds;
    expect(grown('10x5s', '10x10s')).toEqual([{ name: 'Tuck', from: 5, to: 10 }]);
    expect(grown('3x10 hold 5s', '3x10 hold 5-8s')).toEqual([{ name: 'Tuck', from: 5, to: 8 }]);
    expect(grown('10x10s', '10x5s')).toEqual([]);
    expect(progressOver(facts(), NOTHING_TOLD, painForPatient).holds).toEqual([]);
  });
});
