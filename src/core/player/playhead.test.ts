import fc from 'fast-check';
import { lineTarget, shareDone } from '../adherence';
import { type BoutMode, parseDose } from '../dose';
import { resolve, sessionTimeline, totalSeconds } from '../timeline';
import { seconds } from '../units';
import {
  advance,
  back,
  breakOff,
  currentSegment,
  isOver,
  secondsLeft,
  sessionLeft,
  skipLine,
  skipSet,
  startAt,
} from './playhead';

function timed(text: string, mode: BoutMode = 'held') {
  const parsed = parseDose(text);
  if (!parsed.ok) throw new Error(parsed.say);
  return { dose: parsed.value, mode, position: 'sitting' };
}

const played = (...lines: ReturnType<typeof timed>[]) => resolve(sessionTimeline(lines), 'least');

describe('the playhead', () => {
  it('ends after exactly the time that was shown, having told every repetition', () => {
    const segments = played(timed('3x10 hold 5s rest 30s each side'), timed('10x10s'));
    const { playhead, reps } = advance(startAt(segments), totalSeconds(segments));
    expect(isOver(playhead)).toBe(true);
    expect(reps).toHaveLength(70);
  });

  it('tells the same whatever the steps in which time passes', () => {
    const line = timed('2x3 hold 5s rest 10s alternating');
    const segments = played(line);
    const total = totalSeconds(segments);
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.01, max: 7, noNaN: true }), { minLength: 1, maxLength: 400 }),
        (steps) => {
          let head = startAt(segments);
          const told = [];
          let clock = 0;
          for (const step of [...steps, total]) {
            const result = advance(head, seconds(step));
            head = result.playhead;
            told.push(...result.reps);
            clock = Math.min(total, clock + step);
            expect(sessionLeft(head)).toBeCloseTo(total - clock, 6);
          }
          expect(told).toHaveLength(12);
          expect(shareDone(lineTarget(line, 1), told)).toBe(1);
        },
      ),
    );
  });

  it('counts a segment down', () => {
    const segments = played(timed('10x10s'));
    const { playhead } = advance(startAt(segments), seconds(3 + 2 + 4));
    expect(currentSegment(playhead)?.kind).toBe('hold');
    expect(secondsLeft(playhead)).toBeCloseTo(6);
  });

  it('tells a hold that was broken off with the seconds it had', () => {
    const segments = played(timed('10x10s'));
    const { playhead } = advance(startAt(segments), seconds(3 + 2 + 4));
    expect(breakOff(playhead)).toMatchObject([{ rep: 1, held: 4 }]);
    expect(breakOff(advance(startAt(segments), seconds(5.2)).playhead)).toEqual([]);
  });

  it('does not tell a counted repetition that was broken off', () => {
    const segments = played(timed('x10', 'moved'));
    expect(breakOff(advance(startAt(segments), seconds(4)).playhead)).toEqual([]);
  });

  it('goes back to the beginning of the repetition, then to the one before', () => {
    const segments = played(timed('3x10s'));
    const second = advance(startAt(segments), seconds(3 + 14 + 2 + 2 + 5)).playhead;
    const once = back(second);
    expect(currentSegment(once)).toMatchObject({ rep: 2 });
    expect(currentSegment(back(once))).toMatchObject({ kind: 'get-ready', line: 0 });
    expect(back(startAt(segments)).index).toBe(0);
  });

  it('skips what is left of an exercise, and ends after the last', () => {
    const segments = played(timed('3x10s'), timed('x5', 'moved'));
    const { playhead, reps } = skipLine(advance(startAt(segments), seconds(9)).playhead);
    expect(currentSegment(playhead)).toMatchObject({ line: 1, kind: 'next-exercise' });
    expect(reps).toMatchObject([{ rep: 1, held: 4 }]);
    expect(isOver(skipLine(playhead).playhead)).toBe(true);
  });

  it('leaves nothing out once it is over', () => {
    const over = startAt(played(timed('2x5s')), 1000);
    expect(skipSet(over, false)).toEqual({ playhead: over, reps: [] });
    expect(skipLine(over)).toEqual({ playhead: over, reps: [] });
  });
});
