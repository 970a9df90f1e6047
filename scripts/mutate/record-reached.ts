import { appendFileSync } from 'node:fs';

/** Runs before each test file of the first run: keeps which probes it passes, and how long it takes. */
const reached = new Set<number>();
const began = performance.now();
Object.assign(globalThis, { __reached: (index: number) => reached.add(index) });

afterAll(() => {
  const file = process.env.REACHED_FILE;
  if (!file || process.env.REACHED !== 'record') return;
  const path = expect.getState().testPath;
  appendFileSync(
    file,
    `${JSON.stringify({ path, ms: Math.round(performance.now() - began), reached: [...reached] })}\n`,
  );
});
