import { breather } from './breathe';

/** Holds the event loop for so many milliseconds, as the database's client does. */
function busy(milliseconds: number): void {
  const until = performance.now() + milliseconds;
  while (performance.now() < until);
}

/** How often somebody who waits is let in while a job of so many pieces runs. */
async function letIn(pieces: number, milliseconds: number): Promise<number> {
  const breathe = breather();
  let answered = 0;
  let over = false;
  const wait = () =>
    setImmediate(() => {
      answered += 1;
      if (!over) wait();
    });
  wait();
  for (let piece = 0; piece < pieces; piece += 1) {
    busy(milliseconds);
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
