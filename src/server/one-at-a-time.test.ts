import { oneAtATime } from './one-at-a-time';

const settled = () => new Promise((resolve) => setImmediate(resolve));

describe('work in a queue', () => {
  it('runs one job after the other, also after one that failed', async () => {
    const line = oneAtATime(5, () => new Error('full'));
    const said: string[] = [];
    const ends: (() => void)[] = [];
    const job = (name: string) => () =>
      new Promise<string>((resolve) => {
        said.push(name);
        ends.push(() => resolve(name));
      });
    const first = line(job('first'));
    const broken = line(() => Promise.reject(new Error('broken')));
    const third = line(job('third'));
    await settled();
    expect(said).toEqual(['first']);
    ends[0]?.();
    expect(await first).toBe('first');
    await expect(broken).rejects.toThrow('broken');
    await settled();
    expect(said).toEqual(['first', 'third']);
    ends[1]?.();
    expect(await third).toBe('third');
  });

  it('lets so many wait behind it and no more, until there is room again', async () => {
    const line = oneAtATime(1, () => new Error('full'));
    let end = () => undefined as void;
    const first = line(() => new Promise<void>((resolve) => (end = resolve)));
    const second = line(() => Promise.resolve());
    await expect(line(() => Promise.resolve())).rejects.toThrow('full');
    await settled();
    end();
    await Promise.all([first, second]);
    await expect(line(() => Promise.resolve('room'))).resolves.toBe('room');
  });
});
