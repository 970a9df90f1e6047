import fc from 'fast-check';
import { type BoutMode, parseDose } from '../dose';
import { advance, isOver, sessionLeft, startAt } from '../player';
import type { Instant } from '../schedule';
import { resolve, sessionTimeline, totalSeconds } from '../timeline';
import { seconds } from '../units';
import { clockAhead } from './clock';
import { headOfShared } from './count';
import { SHARE_OVER_MS, SHARE_SILENT_MS, phoneLooksOn, shareStanding } from './standing';

function played(text: string, mode: BoutMode = 'held') {
  const parsed = parseDose(text);
  if (!parsed.ok) throw new Error(parsed.say);
  return resolve(sessionTimeline([{ dose: parsed.value, mode, position: 'sitting' }]), 'least');
}

const T = 1_790_000_000_000;
const at = (after: number) => (T + after) as Instant;
const segments = played('3x10 hold 5s rest 30s each side');

describe('a shared count', () => {
  it('stands where it stood while it is paused, however late it is asked', () => {
    const count = { index: 3, elapsed: 1, running: false, at: at(0) };
    expect(headOfShared(segments, count, at(60_000))).toEqual(headOfShared(segments, count, at(0)));
    expect(headOfShared(segments, count, at(0))).toMatchObject({ index: 3, elapsed: 1 });
  });

  it('is the same on a screen that was told late as on one that counted all along', () => {
    const total = totalSeconds(segments) as number;
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: total, noNaN: true }),
        fc.double({ min: 0, max: total, noNaN: true }),
        (first, then) => {
          // The desk says where it stood at `first`; the phone hears it at any time, and asks at `then`.
          const desk = advance(startAt(segments), seconds(first)).playhead;
          const count = {
            index: desk.index,
            elapsed: desk.elapsed as number,
            running: true,
            at: at(Math.round(first * 1000)),
          };
          const phone = headOfShared(segments, count, at(Math.round((first + then) * 1000)));
          const both = advance(startAt(segments), seconds(first + then)).playhead;
          // Milliseconds are whole: a thousandth may fall to either side of a segment's end.
          expect(Math.abs(sessionLeft(phone) - sessionLeft(both))).toBeLessThan(0.01);
        },
      ),
    );
  });

  it('does not run ahead of a word from a clock that is a little fast', () => {
    const count = { index: 0, elapsed: 1, running: true, at: at(400) };
    expect(headOfShared(segments, count, at(0))).toMatchObject({ index: 0, elapsed: 1 });
  });

  it('ends, and does not begin anew', () => {
    const count = { index: 0, elapsed: 0, running: true, at: at(0) };
    expect(isOver(headOfShared(segments, count, at(86_400_000)))).toBe(true);
    expect(isOver(headOfShared(segments, { ...count, index: 9999 }, at(0)))).toBe(true);
  });
});

describe('how far the server’s clock is ahead', () => {
  it.each([
    [[], null],
    [[{ sent: 0, told: 5000, received: 2000 }], 4000],
    // The shortest way counts, not the last.
    [
      [
        { sent: 0, told: 5000, received: 2000 },
        { sent: 3000, told: 7110, received: 3200 },
        { sent: 9000, told: 19_000, received: 16_000 },
      ],
      4010,
    ],
    [[{ sent: 10_000, told: 1000, received: 10_000 }], -9000],
  ])('%j is %j', (samples, ahead) => expect(clockAhead(samples)).toBe(ahead));

  it('is off by half of the shortest way at most', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -100_000, max: 100_000 }),
        fc.array(fc.tuple(fc.nat(3000), fc.nat(3000)), { minLength: 1, maxLength: 8 }),
        (ahead, ways) => {
          const samples = ways.map(([out, back], nth) => ({
            sent: nth * 10_000,
            told: nth * 10_000 + out + ahead,
            received: nth * 10_000 + out + back,
          }));
          const shortest = Math.min(...ways.map(([out, back]) => out + back));
          const found = clockAhead(samples) ?? Number.NaN;
          expect(Math.abs(found - ahead)).toBeLessThanOrEqual(shortest / 2);
        },
      ),
    );
  });
});

describe('how a share stands', () => {
  const row = { touchedAt: at(0), seenAt: null, endedAt: null };
  it.each([
    [null, 0, 'over'],
    [row, 0, 'running'],
    [row, SHARE_SILENT_MS - 1, 'running'],
    [row, SHARE_SILENT_MS, 'silent'],
    [row, SHARE_OVER_MS - 1, 'silent'],
    [row, SHARE_OVER_MS, 'over'],
    [{ ...row, endedAt: at(5) }, 6, 'over'],
  ] as const)('%j after %i ms is %s', (one, after, standing) =>
    expect(shareStanding(one, at(after))).toBe(standing),
  );

  it.each([
    [null, 0, false],
    [at(0), 0, true],
    [at(0), 14_999, true],
    [at(0), 15_000, false],
  ])('a phone seen at %j looks on %i ms later: %j', (seenAt, after, looks) =>
    expect(phoneLooksOn({ ...row, seenAt }, at(after))).toBe(looks),
  );
});
