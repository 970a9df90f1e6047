import { appendFileSync } from 'node:fs';

/**
 * Runs before each test file of the first run: keeps which probes each of its tests passes and how long it
 * takes, and which are passed beside them (as modules are made, before all tests, or after one has ended).
 */
type Passed = { ms: number; readonly reached: Set<number> };
const began = performance.now();
const beside = new Set<number>();
const tests = new Map<string, Passed>();
let running: Passed | null = null;
let since = 0;
Object.assign(globalThis, {
  __reached: (index: number) => (running?.reached ?? beside).add(index),
});

beforeEach(() => {
  const name = expect.getState().currentTestName ?? '';
  running = tests.get(name) ?? { ms: 0, reached: new Set() };
  tests.set(name, running);
  since = performance.now();
});

afterEach(() => {
  if (running) running.ms += performance.now() - since;
  running = null;
});

afterAll(() => {
  const file = process.env.REACHED_FILE;
  if (!file) return;
  const took = performance.now() - began;
  const inTests = [...tests.values()].reduce((sum, { ms }) => sum + ms, 0);
  const line = {
    path: expect.getState().testPath,
    beside: { ms: Math.round(took - inTests), reached: [...beside] },
    tests: [...tests].map(([name, { ms, reached }]) => ({
      name,
      ms: Math.round(ms),
      reached: [...reached],
    })),
  };
  appendFileSync(file, `${JSON.stringify(line)}\n`);
});
