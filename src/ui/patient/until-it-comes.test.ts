import { untilItComes } from './until-it-comes';

it('gives what comes, however often it was cut off before', async () => {
  let tries = 0;
  const load = async () => {
    tries += 1;
    if (tries < 4) throw new Error('cut off');
    return 'here';
  };
  await expect(untilItComes(load, 1)).resolves.toBe('here');
  expect(tries).toBe(4);
});

it('asks once for what comes at once, and rests between tries', async () => {
  jest.useFakeTimers();
  const load = jest.fn<Promise<string>, []>().mockRejectedValueOnce(new Error('cut off'));
  load.mockResolvedValue('here');
  const coming = untilItComes(load);
  await jest.advanceTimersByTimeAsync(2_999);
  expect(load).toHaveBeenCalledTimes(1);
  await jest.advanceTimersByTimeAsync(1);
  await expect(coming).resolves.toBe('here');
  expect(load).toHaveBeenCalledTimes(2);
  jest.useRealTimers();
});
