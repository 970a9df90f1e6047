import { writeFileSync } from 'node:fs';
import { type Machine, crowded } from './queue-model';

/**
 * What a machine carries, by a queueing model with measured parameters: `npm run bench:scale`. The model is
 * checked against what `npm run bench:load` measured with one process and with two.
 */

/** Measured, see docs/scale.md: a post's own work of a process, and its part of one transaction. */
const MEASURED = { workMs: 3.9, writeMs: 0.7 } as const;
const POSTS = 200_000;

const machines: readonly (Machine & { readonly name: string })[] = [1, 2, 4, 8].map(
  (processes) => ({
    name: `${processes} ${processes === 1 ? 'process' : 'processes'}`,
    processes,
    ...MEASURED,
  }),
);
const rates = [25, 50, 100, 150, 170, 200, 300, 400, 600, 800, 1000];

const cell = (machine: Machine, perSecond: number) => {
  const { p95, isStable } = crowded(machine, perSecond, POSTS, 7);
  return isStable ? `${p95 < 10 ? p95.toFixed(1) : Math.round(p95)} ms` : 'never';
};
const lines = [
  `| posts a second | ${machines.map(({ name }) => name).join(' | ')} |`,
  `|---|${machines.map(() => '---').join('|')}|`,
  ...rates.map(
    (rate) => `| ${rate} | ${machines.map((machine) => cell(machine, rate)).join(' | ')} |`,
  ),
];
const [, , file] = process.argv;
if (file) writeFileSync(file, `${lines.join('\n')}\n`);
else console.log(lines.join('\n'));
