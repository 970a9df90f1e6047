import { shareTaken, takenAway } from './taken-away.mjs';

const stat = (...ticks: number[]) =>
  `cpu  ${ticks.join(' ')}\ncpu0 ${ticks.join(' ')}\nintr 1 2 3\n`;
const NONE = stat(0, 0, 0, 0, 0, 0, 0, 0, 0, 0);

describe('the time that a host gave to others', () => {
  it('is a share of what was wanted: neither idle nor waiting for a disk counts', () => {
    expect(shareTaken(NONE, stat(60, 0, 30, 500, 70, 0, 0, 10, 0, 0))).toBe(0.1);
    expect(shareTaken(NONE, stat(10, 20, 30, 9, 9, 20, 10, 10, 0, 0))).toBe(0.1);
    expect(shareTaken(NONE, stat(60, 0, 40, 0, 0, 0, 0, 0, 0, 0))).toBe(0);
  });

  it('does not count guests twice, who stand in the first columns already', () => {
    expect(shareTaken(NONE, stat(90, 0, 0, 0, 0, 0, 0, 10, 90, 0))).toBe(0.1);
  });

  it('is counted from the first reading', () => {
    const before = stat(100, 0, 0, 7, 0, 0, 0, 50, 0, 0);
    expect(shareTaken(before, stat(130, 0, 0, 8, 0, 0, 0, 60, 0, 0))).toBe(0.25);
  });

  it('is not known where nothing was wanted, or nothing counts it', () => {
    expect(shareTaken(NONE, NONE)).toBeNull();
    expect(shareTaken('', '')).toBeNull();
    expect(shareTaken('cpu 1 2 3', 'cpu 4 5 6')).toBeNull();
  });

  it('is said in whole hundredths', () => {
    expect(takenAway()()).toMatch(/^(\d+ %|not counted here)$/);
  });
});
