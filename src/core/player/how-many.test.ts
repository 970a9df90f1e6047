import { countedReps } from '../adherence';
import { parseDose } from '../dose';
import { howMany } from '../progression';
import { DEFAULT_PACES, resolve, sessionTimeline, toPlay, totalSeconds } from '../timeline';
import { type PlayerAction, type PlayerTold, currentSegment, playerState, playerStep } from '.';

function timed(line: string) {
  const dose = parseDose(line);
  if (!dose.ok) throw new Error(dose.say);
  return { dose: dose.value, mode: 'moved' as const, position: 'sitting' };
}

/** A session of these lines, with a clock that only these actions move. */
function playing(...lines: string[]) {
  const session = lines.map(timed);
  const segments = toPlay(sessionTimeline(session), 'least');
  let state = playerState(segments, {
    knowsWhenToStop: true,
    paces: DEFAULT_PACES,
    asks: session.map(({ dose }) => howMany(dose, null)),
  });
  let at = 1000;
  const told: PlayerTold[] = [];
  const act = (action: PlayerAction) => {
    const step = playerStep(state, action);
    state = step.state;
    told.push(...step.told);
  };
  act({ type: 'go on', at });
  return {
    get state() {
      return state;
    },
    get segment() {
      return currentSegment(state.head);
    },
    act,
    told,
    counts: () => told.flatMap((one) => (one.type === 'counted' ? [one.count] : [])),
    pass(seconds: number) {
      for (let left = seconds; left > 1e-9; left -= 0.1) {
        at += Math.min(0.1, left) * 1000;
        act({ type: 'tick', at });
      }
    },
    tap: () => act({ type: 'tap', at }),
    /** Until this is what is under way. */
    until(is: () => boolean) {
      for (let i = 0; i < 20_000 && !is(); i += 1) {
        at += 100;
        act({ type: 'tick', at });
      }
      expect(is()).toBe(true);
    },
  };
}

describe('who is asked how many', () => {
  it.each<[string, boolean]>([
    ['2x8-12', true],
    ['3xmax', true],
    ['10-6-max', true],
    ['3x10 5kg', true],
    ['3x10 80% 1rm', true],
    ['3x10', false],
    ['3-5x10s', false],
    ['2-3x10', false],
    ['x10 band light', false],
  ])('%s: %s', (line, asked) => {
    expect(howMany(timed(line).dose, null) !== null).toBe(asked);
  });

  it('whoever goes by a school that reads the count is', () => {
    expect(howMany(timed('3x10').dose, 'volume-load')).toEqual({ alternating: false, unit: null });
    expect(howMany(timed('3x10').dose, 'climb')).toBeNull();
    expect(howMany(timed('3x10 5lb alternating').dose, null)).toEqual({
      alternating: true,
      unit: 'lb',
    });
    expect(howMany(timed('3x10 80% 10rm').dose, null)?.unit).toBe('kg');
  });
});

describe('a set that is counted', () => {
  it('is asked for while the rest goes on, and the next set waits for the number', () => {
    const session = playing('2x2 5kg rest 30s');
    session.until(() => session.state.counting !== null);
    expect(session.state.counting).toMatchObject({ line: 0, set: 1, side: null, played: 2 });
    expect(session.segment?.kind).toBe('rest');
    session.pass(29);
    expect(session.state.head.elapsed).toBeGreaterThan(25);
    session.pass(60);
    expect(session.segment).toMatchObject({ kind: 'move', set: 2, rep: 1 });
    expect(session.state.head.elapsed).toBe(0);
    session.tap();
    expect(session.segment).toMatchObject({ set: 2, rep: 1 });
    session.act({ type: 'count', reps: 2, load: 7.5 });
    expect(session.counts()).toEqual([
      {
        round: 1,
        side: null,
        direction: 1,
        station: 1,
        set: 1,
        reps: 2,
        load: { amount: 7.5, unit: 'kg' },
      },
    ]);
    session.pass(1);
    expect(session.state.head.elapsed).toBeGreaterThan(0.5);
  });

  it('is asked for at the very end too; what nobody counted is not told', () => {
    const session = playing('x2 5kg');
    session.until(() => session.state.mode === 'over');
    expect(session.state.counting).toMatchObject({ set: 1, played: 2 });
    expect(session.told.map(({ type }) => type)).toContain('ended');
    session.act({ type: 'count', reps: null, load: null });
    expect(session.state.counting).toBeNull();
    expect(session.counts()).toEqual([]);
    session.act({ type: 'count', reps: 5, load: null });
    expect(session.counts()).toEqual([]);
  });

  it('of each side when one follows the other, once when they alternate', () => {
    const each = playing('x2-3 each side');
    each.until(() => each.state.counting !== null);
    expect(each.state.counting).toMatchObject({ side: 'left', played: 2 });
    each.act({ type: 'count', reps: 3, load: null });
    each.until(() => each.state.counting !== null);
    expect(each.state.counting).toMatchObject({ side: 'right' });
    const alternating = playing('x2-3 alternating');
    alternating.until(() => alternating.state.counting !== null);
    expect(alternating.state.counting).toMatchObject({ side: null, played: 2 });
    expect(alternating.state.mode).toBe('over');
  });

  it('done again after going back is asked for again', () => {
    const session = playing('2x2 5kg rest 30s');
    session.until(() => session.state.counting !== null);
    session.act({ type: 'back' });
    expect(session.state.counting).toBeNull();
    session.act({ type: 'repeat line' });
    session.until(() => session.state.counting !== null);
    expect(session.state.counting?.set).toBe(1);
  });
});

describe('enough', () => {
  it('ends the set, not the exercise', () => {
    const session = playing('2x10 rest 30s', 'x5');
    session.until(() => session.segment?.rep === 4);
    session.act({ type: 'end set' });
    expect(session.segment).toMatchObject({ kind: 'rest', set: 2 });
    expect(session.state.counting).toBeNull();
    session.act({ type: 'end set' });
    expect(session.segment).toMatchObject({ kind: 'next-exercise', line: 1 });
    expect(session.told.at(-1)?.type).toBe('line over');
    session.act({ type: 'end set' });
    session.act({ type: 'end set' });
    expect(session.state.mode).toBe('over');
    expect(session.told.filter(({ type }) => type === 'ended')).toHaveLength(1);
  });

  it('asks for what was finished: the repetition under way is not', () => {
    const session = playing('2x8-12 rest 30s');
    session.until(() => session.segment?.rep === 5 && session.segment.kind === 'move');
    session.pass(0.3);
    session.act({ type: 'end set' });
    expect(session.state.counting).toMatchObject({ set: 1, played: 4 });
    session.act({ type: 'count', reps: 4, load: null });
    // The second set is left out before it is begun: there is nothing to count.
    session.act({ type: 'end set' });
    expect(session.state).toMatchObject({ mode: 'over', counting: null });
  });

  it('in the first repetition of the first set asks too: none of it was finished', () => {
    const session = playing('2x8-12 rest 30s');
    session.until(() => session.segment?.kind === 'move');
    session.pass(0.3);
    session.act({ type: 'end set' });
    expect(session.state.counting).toMatchObject({ set: 1, played: 0 });
  });

  it('on one side leaves the other side to be done', () => {
    const session = playing('x10 each side');
    session.until(() => session.segment?.rep === 3);
    session.act({ type: 'end set' });
    expect(session.segment).toMatchObject({ kind: 'change-side', side: 'right' });
  });
});

describe('until form fails', () => {
  it('goes on for as long as it may, and ends when the patient says so', () => {
    const session = playing('2xmax rest 30s');
    session.until(() => session.segment?.rep === 9);
    session.act({ type: 'end set' });
    expect(session.state.counting).toMatchObject({ set: 1, played: 8 });
    session.act({ type: 'count', reps: 9, load: null });
    session.until(() => session.segment?.set === 2 && session.segment.rep === 1);
    expect(session.counts()).toMatchObject([{ set: 1, reps: 9 }]);
  });

  it('is shown as a time from the least to the most, by the last count once there is one', () => {
    const line = timed('xmax');
    const time = (lastMax?: number) => {
      const timeline = sessionTimeline([{ ...line, lastMax }]);
      return (['least', 'most'] as const).map((end) => totalSeconds(resolve(timeline, end)));
    };
    const [ready, one] = [DEFAULT_PACES.getReady, DEFAULT_PACES.moveRep];
    expect(time()).toEqual([ready + one, ready + 20 * one]);
    expect(time(12)).toEqual([ready + 9 * one, ready + 15 * one]);
    expect(time(1)).toEqual([ready + one, ready + 2 * one]);
    // What is played is the most that may come.
    const played = toPlay(sessionTimeline([{ ...line, lastMax: 12 }]), 'least');
    expect(played.filter(({ endsRep }) => endsRep)).toHaveLength(15);
  });
});

describe('repetitions as they were counted', () => {
  const place = { round: 1, side: null, direction: 1, station: 1, set: 1 };
  const rep = (n: number, change = {}) => ({ ...place, rep: n, held: 5, moved: 0, ...change });
  const four = [1, 2, 3, 4].map((n) => rep(n));
  const count = (reps: number | null, change = {}) => ({ ...place, reps, load: null, ...change });

  it('fewer than were played are the first of them, more are like the last', () => {
    expect(countedReps(four, [count(3)])).toEqual(four.slice(0, 3));
    expect(countedReps(four, [count(6)])).toEqual([...four, rep(5), rep(6)]);
    expect(countedReps(four, [count(0)])).toEqual([]);
    expect(countedReps([], [count(2)])).toEqual([rep(1, { held: 0 }), rep(2, { held: 0 })]);
    expect(countedReps(four, [count(null)])).toEqual(four);
  });

  it('each side of an alternating set came to the number; other sets stay as they were', () => {
    const both = four.flatMap((one) => [
      { ...one, side: 'left' as const },
      { ...one, side: 'right' as const },
    ]);
    const other = rep(1, { set: 2, side: 'left' as const });
    const reps = countedReps([...both, other], [count(2)]);
    expect(reps.filter(({ side, set }) => side === 'left' && set === 1)).toHaveLength(2);
    expect(reps.filter(({ side, set }) => side === 'right' && set === 1)).toHaveLength(2);
    expect(reps).toContainEqual(other);
    const left = countedReps(both, [count(1, { side: 'left' })]);
    expect(left.filter(({ side }) => side === 'left')).toHaveLength(1);
    expect(left.filter(({ side }) => side === 'right')).toHaveLength(4);
  });
});
