import type { PackSession } from './patient-pack';
import { splitResets } from './resets';

const session = (key: string, at: number | null): PackSession => ({
  key,
  label: key,
  time: { least: 60, most: 60 } as PackSession['time'],
  at,
  lines: [0],
  done: false,
});
const DAY = [
  session('session-1', 480),
  ...Array.from({ length: 31 }, (_, i) => session(`every-30-${i + 1}`, 420 + i * 30)),
  session('every-120-1', 420),
];

describe('resets of a day', () => {
  it('are one row with a count for each beat, beside the sessions of their own', () => {
    const { plain, resets } = splitResets(DAY, () => false, null);
    expect(plain.map(({ key }) => key)).toEqual(['session-1']);
    expect(resets.map(({ key, count, done, now }) => [key, count, done, now?.key])).toEqual([
      ['every-30', 31, 0, 'every-30-1'],
      ['every-120', 1, 0, 'every-120-1'],
    ]);
  });

  it('offer the latest that is due and undone, else the next one', () => {
    const done = new Set(['every-30-1', 'every-30-2']);
    const isDone = ({ key }: PackSession) => done.has(key);
    const at = (minute: number) => splitResets(DAY, isDone, minute).resets[0];
    expect([at(419)?.now?.key, at(419)?.done]).toEqual(['every-30-3', 2]);
    expect(at(480)?.now?.key).toBe('every-30-3');
    expect(at(509)?.now?.key).toBe('every-30-3');
    expect(at(510)?.now?.key).toBe('every-30-4');
    expect(at(1400)?.now?.key).toBe('every-30-31');
  });

  it('have nothing left when all are done, and none are made of nothing', () => {
    expect(splitResets(DAY, () => true, 600).resets[0]).toMatchObject({ done: 31, now: null });
    expect(splitResets([], () => false, 600)).toEqual({ plain: [], resets: [] });
    expect(splitResets([session('every-30', 1)], () => false, 1).plain).toHaveLength(1);
  });
});
