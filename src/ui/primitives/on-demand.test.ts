import { part } from './on-demand';

describe('a part that comes later', () => {
  const Shown = () => null;

  it('is fetched once, however many ask', async () => {
    const load = jest.fn(() => Promise.resolve(Shown));
    const { fetch, there } = part(load);
    expect(there()).toBeNull();
    await Promise.all([fetch(), fetch()]);
    expect(await fetch()).toBe(Shown);
    expect(there()).toBe(Shown);
    expect(load).toHaveBeenCalledTimes(1);
  });

  it('is tried again by the next who asks when it did not come', async () => {
    const load = jest
      .fn<Promise<typeof Shown>, []>()
      .mockRejectedValueOnce(new Error('no connection'))
      .mockResolvedValue(Shown);
    const { fetch, there } = part(load);
    await expect(fetch()).rejects.toThrow('no connection');
    expect(there()).toBeNull();
    expect(await fetch()).toBe(Shown);
    expect(load).toHaveBeenCalledTimes(2);
  });
});
