import { atMostEvery } from './at-most-every';

it('is done once a period, from when it was made, and again when it failed', async () => {
  let at = 5;
  let done = 0;
  let fails = false;
  const job = atMostEvery(
    100,
    () => {
      done += 1;
      return fails ? Promise.reject(new Error('busy')) : Promise.resolve();
    },
    () => at,
  );
  const doneAt = async (time: number) => {
    at = time;
    await job().catch(() => undefined);
    return done;
  };
  expect(await doneAt(104)).toBe(0);
  expect(await doneAt(105)).toBe(1);
  expect(await doneAt(204)).toBe(1);
  fails = true;
  expect(await doneAt(205)).toBe(2);
  fails = false;
  expect(await doneAt(206)).toBe(3);
  expect(await doneAt(305)).toBe(3);
  expect(await doneAt(306)).toBe(4);
});
