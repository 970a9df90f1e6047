import fc from 'fast-check';
import { seconds } from '../units';
import {
  READING_EVERY,
  type Reading,
  SIMULATED,
  isBroken,
  longestHold,
  peakOf,
  plateauOf,
  seededChance,
  simulatedReading,
  tiltFrom,
  trialState,
} from '.';

/** A stream of a truth over time, as the simulated instrument of that name sends it. */
function stream(
  length: number,
  truth: (at: number) => number,
  imperfection: { noise: number; dropOut: number } = { noise: 0, dropOut: 0 },
): Reading[] {
  const chance = seededChance(7);
  return Array.from({ length: Math.round(length / READING_EVERY) + 1 }, (_, index) => {
    const at = seconds(index * READING_EVERY);
    return simulatedReading(truth(at), at, imperfection, chance);
  }).filter((reading): reading is Reading => reading !== null);
}

describe('peak', () => {
  const push = (at: number) => (at < 2 ? at * 40 : at < 5 ? 80 : Math.max(0, 80 - (at - 5) * 80));
  it('is that of the push, not of one noisy reading', () => {
    const spiked = stream(6, push).map((r, i) => (i === 70 ? { ...r, value: 300 } : r));
    expect(peakOf(spiked)).toBeCloseTo(80, 6);
    expect(peakOf([])).toBeNull();
  });
  it('is found within noise and drop-outs', () => {
    const peak = peakOf(stream(6, push, SIMULATED['push dynamometer'])) ?? 0;
    expect(Math.abs(peak - 80)).toBeLessThan(3);
  });
});

describe('plateau', () => {
  it('is the level the movement came to', () => {
    const turn = (at: number) => Math.min(62, at * 40);
    expect(plateauOf(stream(4, turn, SIMULATED.inclinometer)) ?? 0).toBeCloseTo(62, 0);
  });
  it('is none while it still moves, or for too short a time', () => {
    expect(plateauOf(stream(4, (at) => at * 40))).toBeNull();
    expect(plateauOf(stream(0.4, () => 10))).toBeNull();
    expect(plateauOf([])).toBeNull();
  });
});

describe('hold', () => {
  const nod = (at: number) => (at < 1 ? 20 : at < 12 ? 24 : 20);
  it('is timed within the band, across noise', () => {
    const hold = longestHold(stream(14, nod, SIMULATED['air cuff']), [23, 25]);
    expect(hold.seconds).toBeCloseTo(11, 0);
    expect(hold.broken).toBe(false);
  });
  it('ends where the signal was lost, and says so', () => {
    const lost = stream(14, nod).filter(({ at }) => at < 5 || at > 8);
    const hold = longestHold(lost, [23, 25]);
    expect(hold.seconds).toBeCloseTo(4, 0);
    expect(hold.broken).toBe(true);
    expect(isBroken(lost)).toBe(true);
    expect(isBroken(stream(2, nod))).toBe(false);
  });
  it('counts a slip shorter than 0.4 s, and no longer one', () => {
    const slip = (length: number) => (at: number) => (at > 5 && at <= 5 + length ? 20 : 24);
    expect(longestHold(stream(10, slip(0.3)), [23, 25]).seconds).toBeCloseTo(10, 1);
    expect(longestHold(stream(10, slip(1)), [23, 25]).seconds).toBeCloseTo(5, 0);
  });
});

describe('the phone as inclinometer', () => {
  const flat = { alpha: 0, beta: 0, gamma: 0 };
  it('measures the tilt from its zero and ignores the turn about the plumb line', () => {
    expect(tiltFrom(flat, { alpha: 90, beta: 30, gamma: 0 })).toBeCloseTo(30, 6);
    expect(tiltFrom(flat, { alpha: 10, beta: 0, gamma: -40 })).toBeCloseTo(40, 6);
    expect(
      tiltFrom({ alpha: 0, beta: 20, gamma: 0 }, { alpha: 0, beta: 65, gamma: 0 }),
    ).toBeCloseTo(45, 6);
  });
  it('is the same both ways, and never more than half a turn', () => {
    const angle = fc.double({ min: -89, max: 89, noNaN: true });
    const pose = fc.record({ alpha: angle, beta: angle, gamma: angle });
    fc.assert(
      fc.property(pose, pose, (a, b) => {
        expect(tiltFrom(a, b)).toBeCloseTo(tiltFrom(b, a), 6);
        expect(tiltFrom(a, b)).toBeLessThanOrEqual(180);
      }),
    );
  });
});

describe('a trial', () => {
  const push = (at: number) => (at < 1 ? 0 : at < 2 ? (at - 1) * 80 : at < 5 ? 80 : 0);
  const noisy = SIMULATED['push dynamometer'];
  it('waits for a push, runs with it, and ends after it', () => {
    expect(trialState('peak', stream(0.8, push)).kind).toBe('waiting');
    expect(trialState('peak', stream(4, push, noisy)).kind).toBe('running');
    const done = trialState('peak', stream(6.5, push, noisy));
    expect(done.kind).toBe('done');
    if (done.kind === 'done') expect(Math.abs(done.value - 80)).toBeLessThan(4);
  });
  it('runs from the very first reading where that is a push already', () => {
    const pushing = [{ at: seconds(0), value: 10 }];
    expect(trialState('peak', pushing).kind).toBe('running');
    expect(trialState('peak', [{ at: seconds(0), value: 9.9 }]).kind).toBe('waiting');
  });
  it('does not count when the signal was lost during the push', () => {
    const lost = stream(6.5, push).filter(({ at }) => at < 3 || at > 4);
    expect(trialState('peak', lost).kind).toBe('broken');
    const before = stream(6.5, push).filter(({ at }) => at < 0.1 || at > 0.9);
    expect(trialState('peak', before).kind).toBe('done');
  });
  it('takes a movement of five degrees, and none of less', () => {
    const held = (value: number) =>
      trialState(
        'level',
        Array.from({ length: 60 }, (_, at) => ({
          at: (at / 10) as Reading['at'],
          value: at < 20 ? 5 : value,
        })),
      ).kind;
    expect([held(5), held(4.9)]).toEqual(['done', 'running']);
  });
  it('takes the level a movement comes to', () => {
    const turn = (at: number) => Math.min(62, Math.max(0, at - 1) * 40);
    expect(trialState('level', stream(2, turn, SIMULATED.inclinometer)).kind).toBe('running');
    const done = trialState('level', stream(5, turn, SIMULATED.inclinometer));
    expect(done.kind === 'done' && Math.round(done.value)).toBe(62);
    expect(
      trialState(
        'level',
        stream(3, () => 1),
      ).kind,
    ).toBe('waiting');
  });
});
