import { randomLcg, randomNormal } from 'd3';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  COURSES,
  type Chance,
  TRUE_COURSES,
  type TrueCourse,
  type VerdictRates,
  simulatedClinic,
  verdictRates,
} from '@/core/follow';
import { localDate } from '@/core/units';

/** Measures how often the Follow page's verdicts are right: `npx tsx scripts/verdicts.ts`. */
const PATIENTS = 200;
const FIRST = localDate('2026-09-01');

function chanceOf(seed: number): Chance {
  const source = randomLcg(seed);
  return { fraction: source, normal: randomNormal.source(source)(0, 1) };
}

function table(rates: VerdictRates): string {
  const head = `| what really happened | ${COURSES.join(' | ')} |\n|---|${COURSES.map(() => '---|').join('')}`;
  const rows = (Object.keys(TRUE_COURSES) as TrueCourse[]).map(
    (course) =>
      `| ${course} (${TRUE_COURSES[course].change} points) | ${COURSES.map((verdict) => rates[course][verdict]).join(' | ')} |`,
  );
  return [head, ...rows].join('\n');
}

const parts = [28, 56, 84].map((days) => {
  const chance = chanceOf(0.31);
  const rates = verdictRates(simulatedClinic(PATIENTS, chance), FIRST, days, chance);
  const wrong = (['unchanged', 'clearly worse'] as const).reduce(
    (sum, course) => sum + rates[course]['improving beyond noise'],
    0,
  );
  return `## After ${days / 7} weeks\n\n${table(rates)}\n\n“Improving” although unchanged or worse: ${wrong} of ${PATIENTS / 2} (${((200 * wrong) / PATIENTS).toFixed(1)} %).`;
});

writeFileSync(
  join(import.meta.dirname, '../docs/verdicts.md'),
  `# How often the verdicts are right

A simulated clinic of ${PATIENTS} patients whose true course is known, a quarter each, judged once by the rules of \`src/core/follow/course.ts\`. Daily worst pain is a straight line from start to end plus deviations that last from day to day (first-order autoregressive, 0.2–0.7), standard deviation 0.6–1.5 points, rounded and cut to 0–10 as a person tells it; a tenth to half of the days are not told. Invented data: it shows what the rules do with noise like this, not what patients do. Made by \`npx tsx scripts/verdicts.ts\`; a unit test keeps the share of false “improving” under 5 %.

${parts.join('\n\n')}

What the tables say: “improving” is hardly ever said of somebody who has not improved. It is said of some who got a little better (one point), which is true but less than what matters. The price is silence: after four weeks about half of those who got clearly better are not called so yet. Worsening is said earlier than improving, on purpose.
`,
);
