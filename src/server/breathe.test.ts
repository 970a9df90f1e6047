import { breather } from './breathe';

/** How often somebody who waits is let in while a job of so many pieces of so many milliseconds runs. */
async function letIn(pieces: number, milliseconds: number): Promise<number> {
  let now = 0;
  const breathe = breather(() => now);
  let answered = 0;
  let over = false;
  const wait = () =>
    setImmediate(() => {
      answered += 1;
      if (!over) wait();
    });
  wait();
  for (let piece = 0; piece < pieces; piece += 1) {
    now += milliseconds;
    await breathe();
  }
  over = true;
  return answered;
}

it('lets others in between the pieces of a long job', async () => {
  expect(await letIn(6, 10)).toBeGreaterThanOrEqual(5);
});

it('does not stop for pieces that hold nobody up', async () => {
  expect(await letIn(3, 0)).toBe(0);
});
