import { type BoutMode, parseDose } from '../dose';
import { seconds } from '../units';
import { DEFAULT_PACES, type Paces } from './paces';
import { type TimedLine, resolve, sessionSeconds, sessionTimeline, totalSeconds } from './timeline';
import { workIn, workOf, workRange } from './work';

function line(text: string, mode: BoutMode = 'held', position = 'sitting'): TimedLine {
  const parsed = parseDose(text);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.say}`);
  return { dose: parsed.value, mode, position };
}

const NO_PACES = Object.fromEntries(
  Object.keys(DEFAULT_PACES).map((name) => [name, seconds(0)]),
) as unknown as Paces;

const kinds = (text: string, mode?: BoutMode) =>
  resolve(sessionTimeline([line(text, mode)]), 'least').map((segment) => segment.kind);

describe('dose arithmetic (common practice, no source)', () => {
  it.each([
    ['3x10s in 6 directions', 18, 180],
    ['5x3s in 4 directions', 20, 60],
    ['10x10s', 10, 100],
    ['5x5s at 3 angles rest 60s', 15, 75],
  ])('%s: %i holds, %i s held', (text, holds, held) => {
    const { least } = workOf(sessionTimeline([line(text)]));
    expect(least.holds).toBe(holds);
    expect(least.heldSeconds).toBe(held);
  });

  it('rests twice for 60 s between three angles', () => {
    const played = resolve(sessionTimeline([line('5x5s at 3 angles rest 60s')]), 'least');
    const rests = played.filter((segment) => segment.kind === 'next-angle');
    expect(rests.map((segment) => segment.seconds)).toEqual([60, 60]);
  });

  it('holds 6 min in wall press, side band and prone hold at 30 s, 12 min at 60 s', () => {
    const timeline = sessionTimeline([
      line('3x30-60s'),
      line('3x30-60s each side'),
      line('3x30-60s'),
    ]);
    expect(workRange(timeline)).toEqual({ least: 360, most: 720 });
  });

  it('finds 10–12 min a day in the two-round routine said to take under four', () => {
    const routine = [
      line('2x30s', 'moved'),
      line('3x10-15s'),
      line('3x10-15s'),
      line('30s', 'lain', 'lying'),
    ];
    expect(workRange(sessionTimeline(routine))).toEqual({ least: 150, most: 180 });
    const session = sessionTimeline(routine, 2);
    const work = workRange(session);
    expect([work.least * 2, work.most * 2]).toEqual([600, 720]);
    // With rests and changes it is more: about a quarter of an hour a day.
    const day = sessionSeconds(session);
    expect(day.least * 2).toBeGreaterThan(12 * 60);
    expect(day.most * 2).toBeLessThan(18 * 60);
  });
});

describe('the segments', () => {
  it('moves in, holds and releases every repetition, with a gap between', () => {
    expect(kinds('x2 hold 5s')).toEqual([
      'get-ready',
      'move',
      'hold',
      'release',
      'gap',
      'move',
      'hold',
      'release',
    ]);
  });

  it('holds the barriers in one go', () => {
    expect(kinds('30s at 3 barriers')).toEqual([
      'get-ready',
      'move',
      'hold',
      'hold',
      'hold',
      'release',
    ]);
  });

  it('does one whole side, then the other', () => {
    const played = resolve(sessionTimeline([line('2x3 each side')]), 'least');
    const sides = played.filter((s) => s.endsRep).map((s) => s.side);
    expect(sides).toEqual([...Array<string>(6).fill('left'), ...Array<string>(6).fill('right')]);
    expect(played.filter((s) => s.kind === 'change-side')).toHaveLength(1);
  });

  it('changes side at every repetition when alternating', () => {
    const played = resolve(sessionTimeline([line('x2 alternating')]), 'least');
    expect(played.filter((s) => s.endsRep).map((s) => s.side)).toEqual([
      'left',
      'right',
      'left',
      'right',
    ]);
  });

  it('takes the longer of the written pause and the pace of a change', () => {
    const change = (text: string) =>
      resolve(sessionTimeline([line(text)]), 'least').find((s) => s.kind === 'change-side')
        ?.seconds;
    expect(change('10x10s gap 1s each side')).toBe(DEFAULT_PACES.changeSide);
    expect(change('10x10s gap 20s each side')).toBe(20);
    expect(change('3x10 gap 1s rest 60s each side')).toBe(60);
  });

  it('drops what is beyond the least, with its pause', () => {
    const timeline = sessionTimeline([line('3-5x10-15s gap 5s')]);
    const gaps = (end: 'least' | 'most') =>
      resolve(timeline, end).filter((s) => s.kind === 'gap').length;
    expect([gaps('least'), gaps('most')]).toEqual([2, 4]);
    expect(workRange(timeline)).toEqual({ least: 30, most: 75 });
  });

  it('shows exactly the sum of what it plays, each segment starting where the last ended', () => {
    const timeline = sessionTimeline([line('3x10 hold 5s rest 60s each side'), line('10x10s')], 2);
    for (const end of ['least', 'most'] as const) {
      const played = resolve(timeline, end);
      let clock = 0;
      for (const segment of played) {
        expect(segment.startsAt).toBeCloseTo(clock, 6);
        clock += segment.seconds;
      }
      expect(totalSeconds(played)).toBeCloseTo(clock, 6);
      expect(sessionSeconds(timeline)[end]).toBe(totalSeconds(played));
    }
  });

  it('counts only written time as time when every pace is nought', () => {
    const played = resolve(sessionTimeline([line('3x10 hold 5s rest 60s')]), 'least', NO_PACES);
    expect(totalSeconds(played)).toBe(3 * 10 * 5 + 2 * 60);
    expect(workIn(played).reps).toBe(30);
  });

  it('lies down and up again only when the position changes', () => {
    const count = (second: string) =>
      resolve(sessionTimeline([line('x5'), line('x5', 'moved', second)]), 'least').filter(
        (s) => s.kind === 'change-position',
      ).length;
    expect([count('sitting'), count('lying')]).toEqual([0, 1]);
  });
});
