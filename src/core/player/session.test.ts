import fc from 'fast-check';
import { parseDose } from '../dose';
import { seconds } from '../units';
import { DEFAULT_PACES, resolve, sessionTimeline, totalSeconds } from '../timeline';
import {
  LONGEST_SILENCE_MS,
  changesAhead,
  type PlayerAction,
  type PlayerState,
  type PlayerTold,
  currentSegment,
  playerState,
  playerStep,
  secondsInto,
} from '.';

function played(...lines: string[]) {
  const timed = lines.map((line) => {
    const dose = parseDose(line);
    if (!dose.ok) throw new Error(dose.say);
    return { dose: dose.value, mode: 'held' as const, position: 'sitting' };
  });
  return resolve(sessionTimeline(timed), 'least');
}

const fresh = (lines: readonly string[], change: Partial<PlayerState> = {}): PlayerState => ({
  ...playerState(played(...lines), { knowsWhenToStop: true, paces: DEFAULT_PACES }),
  ...change,
});

/** A session with a clock that only these actions move. */
function playing(lines: readonly string[], change: Partial<PlayerState> = {}) {
  let state = fresh(lines, change);
  let at = 50_000;
  const told: PlayerTold[] = [];
  const act = (action: PlayerAction) => {
    const step = playerStep(state, action);
    state = step.state;
    told.push(...step.told);
  };
  return {
    get state() {
      return state;
    },
    told,
    act,
    goOn: () => act({ type: 'go on', at }),
    tap: () => act({ type: 'tap', at }),
    /** Time passes while the page is awake. */
    pass(seconds: number, every = 0.1) {
      for (let left = seconds; left > 1e-9; left -= every) {
        at += Math.min(every, left) * 1000;
        act({ type: 'tick', at });
      }
    },
    /** Time passes while it sleeps. */
    sleep(milliseconds: number) {
      at += milliseconds;
    },
    reps: () => told.flatMap((one) => (one.type === 'reps' ? one.reps : [])),
    kinds: () => told.map(({ type }) => type),
  };
}

it('plays a session to its end: every repetition told once, lines over in between, the end last', () => {
  const lines = ['2x10s gap 5s', '3x5s'];
  const session = playing(lines);
  session.goOn();
  session.pass(totalSeconds(played(...lines)) + 1);
  expect(session.state.mode).toBe('over');
  expect(session.reps().map(({ held }) => Math.round(held))).toEqual([10, 10, 5, 5, 5]);
  const kinds = session.kinds().filter((kind) => kind !== 'reps');
  expect(kinds).toEqual(['begun', 'line over', 'ended']);
  const lineOfReps = session.told.flatMap((one) => (one.type === 'reps' ? [one.line] : []));
  expect(lineOfReps).toEqual([0, 0, 1, 1, 1]);
});

it('tells the same whatever the steps in which time passes, as long as the page is awake', () => {
  const lines = ['2x10s gap 5s', '3x5s each side'];
  const total = totalSeconds(played(...lines));
  const whole = playing(lines);
  whole.goOn();
  whole.pass(total + 1);
  fc.assert(
    fc.property(fc.double({ min: 0.02, max: LONGEST_SILENCE_MS / 1000, noNaN: true }), (every) => {
      const session = playing(lines);
      session.goOn();
      session.pass(total + 1, every);
      expect(session.state.mode).toBe('over');
      expect(session.kinds().filter((kind) => kind !== 'reps')).toEqual(
        whole.kinds().filter((kind) => kind !== 'reps'),
      );
      expect(session.reps()).toHaveLength(whole.reps().length);
      session
        .reps()
        .forEach(({ held }, index) => expect(held).toBeCloseTo(whole.reps()[index]?.held ?? -1, 6));
    }),
    { numRuns: 40 },
  );
});

it('stands still after a silence, guesses nothing, and goes on where it was', () => {
  const session = playing(['10x10s']);
  session.goOn();
  session.pass(6);
  const before = session.state.head;
  session.sleep(LONGEST_SILENCE_MS + 1);
  session.pass(0.1);
  expect(session.state).toMatchObject({ mode: 'away', head: before });
  session.goOn();
  session.pass(1);
  expect(session.state.mode).toBe('running');
  expect(session.state.head.elapsed).toBeCloseTo(before.elapsed + 1, 6);
  expect(session.kinds().filter((kind) => kind === 'begun')).toHaveLength(1);
});

it('a silence just as long as is allowed counts', () => {
  const session = playing(['10x10s']);
  session.goOn();
  session.sleep(LONGEST_SILENCE_MS - 100);
  session.pass(0.1);
  expect(session.state.mode).toBe('running');
  expect(session.state.head.index > 0 || session.state.head.elapsed > 2.9).toBe(true);
});

it('waits until what to stop for was read, and is begun once', () => {
  const session = playing(['x5'], { mode: 'first time' });
  session.goOn();
  expect(session.state.mode).toBe('first time');
  session.act({ type: 'understood' });
  expect(session.state.mode).toBe('ready');
  session.goOn();
  session.act({ type: 'understood' });
  session.act({ type: 'stand still', as: 'paused' });
  session.goOn();
  expect(session.kinds()).toEqual(['begun']);
  expect(session.state.mode).toBe('running');
});

it.each(['paused', 'skipping', 'stopping', 'hurting'] as const)(
  'no time passes while it is %s',
  (as) => {
    const session = playing(['10x10s']);
    session.goOn();
    session.pass(7);
    const before = session.state.head;
    session.act({ type: 'stand still', as });
    session.sleep(60_000);
    session.pass(5);
    session.tap();
    expect(session.state).toMatchObject({ mode: as, head: before });
    expect(session.told).toHaveLength(1);
    session.goOn();
    session.pass(0.5);
    expect(session.state.head.elapsed).toBeCloseTo(before.elapsed + 0.5, 6);
  },
);

it('at one’s own pace counts up, and a tap tells what was really held', () => {
  const session = playing(['2x10s gap 5s'], { ownPace: true });
  session.goOn();
  session.pass(4);
  session.tap();
  const segment = currentSegment(session.state.head);
  expect(segment?.kind).not.toBe('get-ready');
  while (currentSegment(session.state.head)?.kind !== 'hold') {
    session.pass(1);
    session.tap();
  }
  expect(session.state.own).toBe(0);
  session.pass(14);
  expect(secondsInto(session.state, (session.state.trueAt ?? 0) + 500)).toBeCloseTo(14.5, 6);
  session.tap();
  while (session.reps().length === 0) {
    session.pass(1);
    session.tap();
  }
  expect(session.reps()[0]?.held).toBeCloseTo(14, 6);
});

it('learns the pace only of what no dose writes', () => {
  const session = playing(['2x10s gap 5s']);
  session.goOn();
  session.pass(1);
  session.tap();
  const learned = session.told.filter(({ type }) => type === 'paces learned');
  expect(learned).toHaveLength(1);
  expect(session.state.paces.getReady).toBeLessThan(DEFAULT_PACES.getReady);
  expect(session.state.paces).toEqual(learned[0]?.type === 'paces learned' && learned[0].paces);
  while (currentSegment(session.state.head)?.kind !== 'gap') session.pass(0.5);
  session.tap();
  expect(session.told.filter(({ type }) => type === 'paces learned')).toHaveLength(1);
});

it('leaves out what is left of a line: what was held is told, then why', () => {
  const session = playing(['10x10s', '2x5s']);
  session.goOn();
  session.pass(9);
  session.act({ type: 'stand still', as: 'skipping' });
  session.sleep(30_000);
  session.act({ type: 'leave out', reason: 'pain' });
  expect(session.told.slice(1)).toMatchObject([
    { type: 'reps', line: 0, reps: [{ rep: 1 }] },
    { type: 'skipped', line: 0, reason: 'pain' },
  ]);
  expect(session.state.mode).toBe('running');
  expect(currentSegment(session.state.head)?.line).toBe(1);
  // The time of choosing a reason is nobody's.
  session.pass(0.1);
  expect(session.state.head.elapsed).toBeLessThan(0.2);
  session.act({ type: 'leave out', reason: 'no time' });
  expect(session.kinds().slice(-2)).toEqual(['skipped', 'ended']);
  expect(session.state.mode).toBe('over');
  session.act({ type: 'leave out', reason: 'no time' });
  session.goOn();
  session.act({ type: 'stand still', as: 'paused' });
  expect(session.state.mode).toBe('over');
});

it('broken off tells the hold under way as far as it got, and why it stopped', () => {
  const session = playing(['10x10s']);
  session.goOn();
  session.pass(9);
  session.act({ type: 'break off', because: 'symptom' });
  expect(session.told.slice(1)).toMatchObject([
    { type: 'reps', line: 0, reps: [{ rep: 1 }] },
    { type: 'stopped', because: 'symptom' },
  ]);
  const early = playing(['10x10s']);
  early.goOn();
  early.act({ type: 'break off', because: 'enough' });
  expect(early.kinds()).toEqual(['begun', 'stopped']);
});

it('goes back, and begins a line again', () => {
  const session = playing(['2x10s', '3x5s']);
  session.goOn();
  while (currentSegment(session.state.head)?.line !== 1) session.pass(0.5);
  session.pass(8);
  session.act({ type: 'repeat line' });
  expect(currentSegment(session.state.head)).toMatchObject({ line: 1, kind: 'next-exercise' });
  session.act({ type: 'back' });
  expect(currentSegment(session.state.head)?.line).toBe(0);
});

it('goes on from the segment at which it was left', () => {
  const segments = played('2x10s', '3x5s');
  const index = segments.findIndex(({ line }) => line === 1);
  const state = playerState(segments, { index, knowsWhenToStop: true, paces: DEFAULT_PACES });
  expect(currentSegment(state.head)?.line).toBe(1);
  expect(state.mode).toBe('ready');
  expect(secondsInto(state, 1e6)).toBe(0);
});

it('a clock that stands or runs back moves nothing', () => {
  const session = playing(['10x10s']);
  session.goOn();
  session.pass(2);
  const { head } = session.state;
  session.act({ type: 'tick', at: 0 });
  expect(session.state.head).toEqual(head);
  expect(secondsInto(session.state, 0)).toBe(head.elapsed);
});

describe('what begins by itself', () => {
  const within = seconds(LONGEST_SILENCE_MS / 1000);

  it('is what then begins, to the moment, for any dose', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('x3 hold 2s gap 1s', '2x2s each side gap 1s', '3x1s gap 1s'),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (line, into) => {
          const session = playing([line]);
          session.goOn();
          session.pass(into + 0.05);
          const before = session.state;
          if (before.mode !== 'running') return;
          for (const { index, after, kind } of changesAhead(before, within)) {
            const at = (before.trueAt ?? 0) + after * 1000;
            const later = playerStep(before, { type: 'tick', at: at + 1 }).state;
            const sooner = playerStep(before, { type: 'tick', at: at - 1 }).state;
            expect(later.head.index).toBe(index);
            expect(sooner.head.index).toBe(index - 1);
            expect(currentSegment(later.head)?.kind).toBe(kind);
          }
        },
      ),
    );
  });

  it('is nothing while it stands, before it begins, and at one’s own pace', () => {
    const session = playing(['x3 hold 2s gap 1s']);
    expect(changesAhead(session.state, within)).toEqual([]);
    session.goOn();
    session.pass(0.5);
    expect(changesAhead(session.state, seconds(30)).length).toBeGreaterThan(0);
    session.act({ type: 'stand still', as: 'paused' });
    expect(changesAhead(session.state, seconds(30))).toEqual([]);
    const own = playing(['x3 hold 2s gap 1s'], { ownPace: true });
    own.goOn();
    own.pass(0.5);
    expect(changesAhead(own.state, seconds(30))).toEqual([]);
  });

  it('is never beyond the time that is asked for, nor a set whose number is missing', () => {
    const session = playing(['2x8-12 rest 30s'], {
      asks: [{ kind: 'reps', unit: null, alternating: false } as never],
    });
    session.goOn();
    session.pass(0.2);
    // The rest after the first set begins by itself; the second set waits for the first one's number.
    const { segments } = session.state.head;
    const begun = changesAhead(session.state, seconds(600)).map(({ index }) => segments[index]);
    expect(begun.filter((one) => one?.set === 1).length).toBeGreaterThan(6);
    expect(begun.filter((one) => one?.set === 2 && one.work !== null)).toEqual([]);
    expect(changesAhead(session.state, seconds(0))).toEqual([]);
    for (const { after } of changesAhead(session.state, within)) expect(after).toBeLessThan(3.001);
  });

  it('is told also where it comes at the very end of that time', () => {
    const session = playing(['x3 hold 2s gap 1s']);
    session.goOn();
    const [first] = changesAhead(session.state, seconds(600));
    if (!first) throw new Error('nothing comes');
    expect(changesAhead(session.state, first.after)).toEqual([first]);
    expect(changesAhead(session.state, seconds(first.after - 0.001))).toEqual([]);
  });
});
