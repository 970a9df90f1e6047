import { parseDose } from '../dose';
import { DEFAULT_PACES, resolve, sessionTimeline } from '../timeline';
import { seconds } from '../units';
import {
  advance,
  breathAt,
  cueAt,
  currentSegment,
  learnPace,
  paceOf,
  restartLine,
  startAt,
  tapDone,
} from '.';

function played(...lines: string[]) {
  const timed = lines.map((line) => {
    const dose = parseDose(line);
    if (!dose.ok) throw new Error(dose.say);
    return { dose: dose.value, mode: 'held' as const, position: 'sitting' };
  });
  return resolve(sessionTimeline(timed), 'least');
}

describe('a patient’s own pace', () => {
  it('is learned from taps, a little at a time, and never runs away', () => {
    expect(learnPace(DEFAULT_PACES, 'getReady', 8).getReady).toBe(5);
    let paces = DEFAULT_PACES;
    for (let i = 0; i < 50; i += 1) paces = learnPace(paces, 'getReady', 600);
    expect(paces.getReady).toBe(12);
    for (let i = 0; i < 50; i += 1) paces = learnPace(paces, 'getReady', 0);
    expect(paces.getReady).toBeCloseTo(0.9, 5);
  });

  it('is only that of what the dose does not write', () => {
    const segments = played('2x10s gap 5s');
    expect(paceOf(startAt(segments, 0))).toBe('getReady');
    const gap = segments.findIndex(({ kind }) => kind === 'gap');
    expect(paceOf(startAt(segments, gap))).toBeNull();
  });

  it('tells a hold as long as it really was, shorter or longer', () => {
    const segments = played('2x10s gap 5s');
    const hold = segments.findIndex(({ kind }) => kind === 'hold');
    for (const real of [4, 14]) {
      const held = tapDone(startAt(segments, hold), real);
      const { reps } = advance(held.playhead, seconds(2));
      expect(reps[0]?.held).toBe(real);
      expect(held.playhead.segments).toBe(segments);
      expect(currentSegment(held.playhead)?.kind).toBe('release');
    }
  });

  it('begins an exercise again, not the session', () => {
    const segments = played('2x10s', '3x10s');
    const last = startAt(segments, segments.length - 1);
    expect(currentSegment(restartLine(last))).toMatchObject({ line: 1, kind: 'next-exercise' });
    const over = startAt(segments, segments.length);
    expect(restartLine(over)).toBe(over);
  });
});

describe('reminders while it is done', () => {
  const breath = { in: seconds(4), hold: seconds(4), out: seconds(4) };
  it('count the breath: in 4, hold 4, out 4 (common practice, no source)', () => {
    expect([0, 3.9, 4, 7.9, 8, 11.9, 12].map((at) => breathAt(breath, at))).toEqual([
      { phase: 'in', count: 1 },
      { phase: 'in', count: 4 },
      { phase: 'hold', count: 1 },
      { phase: 'hold', count: 4 },
      { phase: 'out', count: 1 },
      { phase: 'out', count: 4 },
      { phase: 'in', count: 1 },
    ]);
  });

  it('say shoulders on the third repetition, own reminders else, and nothing in a rest', () => {
    const at = (rep: number) =>
      cueAt({ work: 'held', rep, kind: 'hold' }, 0, undefined, ['A', 'B']);
    expect([1, 2, 3, 4, 6].map(at)).toEqual([
      { kind: 'own', text: 'A' },
      { kind: 'own', text: 'B' },
      { kind: 'shoulders' },
      { kind: 'own', text: 'B' },
      { kind: 'shoulders' },
    ]);
    expect(cueAt({ work: null, rep: 3, kind: 'rest' }, 0, undefined, ['A'])).toBeNull();
    expect(cueAt({ work: 'held', rep: 1, kind: 'hold' }, 5, breath, ['A'])).toEqual({
      kind: 'breath',
      phase: 'hold',
      count: 2,
    });
    expect(cueAt({ work: 'held', rep: 1, kind: 'hold' }, 0, undefined, [])).toBeNull();
  });
});
