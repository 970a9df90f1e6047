import { randomLcg, randomNormal } from 'd3';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { shareInterval } from '@/core/statistics';
import { type Said, lookByLook, stepAt } from '@/core/verdict';
import { DIARY_SHAPES, TRUTHS, type Truth, diary, otherDiary } from './generator';

/** Measures how often the Follow page's verdicts are right: `npm run verdicts`. */
const PATIENTS = Number(process.argv[2] ?? 4000);
/** Thresholds were tuned on other seeds. */
const SEED = 0.4471;
const MATTERS = 2;
const WEEKS = 12;
const SAID = ['better', 'worse', 'was better'] as const satisfies Said[];

function chanceOf(truth: string, nth: number) {
  const source = randomLcg((SEED + nth * 0.007919 + truth.length * 0.0137) % 1);
  return { fraction: source, normal: randomNormal.source(source)(0, 1) };
}

/** What was said of every patient, look by look, from their first reading on. */
function looks(generate: typeof diary, truth: Truth): { said: readonly Said[]; first: number }[] {
  return Array.from({ length: PATIENTS }, (_, nth) => {
    const told = generate(truth, WEEKS * 7, chanceOf(truth, nth));
    const first = told[0]?.day ?? 0;
    const from = told.map(({ day, value }) => ({ day: day - first, value }));
    return { said: lookByLook(from, MATTERS, WEEKS * 7 - first), first };
  });
}

/** A look is made two days early, as `lookByLook` does. */
const atWeek = (week: number, { said, first }: { said: readonly Said[]; first: number }) =>
  said[Math.floor((week * 7 + 2 - first - 14) / 7)] ?? 'nothing';

function share(count: number, of = PATIENTS): string {
  const found = shareInterval(count, of);
  const percent = (value: number) => (100 * value).toFixed(1);
  return found ? `${percent(found.share)} (${percent(found.low)}–${percent(found.high)})` : '–';
}

function tables(generate: typeof diary): string {
  const all = (Object.keys(TRUTHS) as Truth[]).map((truth) => ({
    truth,
    found: looks(generate, truth),
  }));
  const table = (
    caption: string,
    of: (one: ReturnType<typeof looks>[number], said: Said) => boolean,
  ) =>
    [
      `### ${caption}`,
      '',
      `| what really happened | ${SAID.join(' | ')} |`,
      `|---|${SAID.map(() => '---|').join('')}`,
      ...all.map(
        ({ truth, found }) =>
          `| ${truth} | ${SAID.map((said) => share(found.filter((one) => of(one, said)).length)).join(' | ')} |`,
      ),
    ].join('\n');
  return [
    table('Said at six weeks, %', (one, said) => atWeek(6, one) === said),
    table('Said at some weekly look within twelve weeks, %', ({ said: all2 }, said) =>
      all2.includes(said),
    ),
    table('Said at twelve weeks, %', (one, said) => atWeek(12, one) === said),
  ].join('\n\n');
}

/** How soon a fall is seen, and in which shape: said to be better by the end of each of these weeks. */
function byShape(): string {
  const weeks = [3, 4, 5, 6, 8, 10, 12];
  const rows = (['falls by 2', 'falls by 3'] as const).flatMap((truth) =>
    DIARY_SHAPES.map((shape) => {
      const found = looks((what, days, chance) => diary(what, days, chance, shape), truth);
      const of = (week: number) =>
        share(found.filter((one) => atWeek(week, one) === 'better').length);
      return `| ${truth}, ${shape} | ${weeks.map(of).join(' | ')} |`;
    }),
  );
  return [
    `| what really happened | ${weeks.map((week) => `week ${week}`).join(' | ')} |`,
    `|---|${weeks.map(() => '---|').join('')}`,
    ...rows,
  ].join('\n');
}

/** What a change of programme in the middle of six weeks was followed by, where nothing of it was its doing. */
function seams(): string {
  const rows = [
    ['flat', 0],
    ['steady fall by 3', -3],
    ['steady fall by 5', -5],
  ] as const;
  const lines = rows.map(([name, change]) => {
    const said = Array.from({ length: PATIENTS }, (_, nth) => {
      const chance = chanceOf(name, nth);
      const flat = diary('flat', 42, chance);
      const told = flat.map(({ day, value }) => ({
        day,
        value: Math.min(10, Math.max(0, Math.round(value + 2 + (change * day) / 41))),
      }));
      return stepAt(told, 21, MATTERS).say;
    });
    const of = (what: (typeof said)[number]) => share(said.filter((one) => one === what).length);
    return `| ${name} | ${of('better after')} | ${of('worse after')} |`;
  });
  return [
    '| what really happened | better after, % | worse after, % |',
    '|---|---|---|',
    ...lines,
  ].join('\n');
}

writeFileSync(
  join(import.meta.dirname, '../../docs/verdicts.md'),
  `# How often the verdicts are right

Simulated diaries of worst pain whose true course is known, ${PATIENTS} in each row, judged week by week by \`src/core/verdict\` (decision 0053); in brackets the 95 % score interval (Wilson 1927). Invented data: it shows what the method does with noise like this, not what patients do. Made by \`npm run verdicts\`; a sample of it runs in \`npm test\`. The thresholds were tuned on other seeds of the first clinic, and nothing on the second.

## The first clinic

A straight line, a step or levelling off, a third each, over six weeks, then level; deviations that last from day to day (first-order autoregressive, 0–0.7), standard deviation 0.5–1.8 points; rounded and cut to 0–10; 10–60 % of days not told.

${tables(diary)}

### Said to be better by the end of a week, by the shape of the fall, %

${byShape()}

## Another clinic

Whole points that wander and are drawn back, a level that shifts now and then, sore days told less often.

${tables(otherDiary)}

## A change of programme that did nothing

Half way through six weeks.

${seams()}

What the tables say: of patients whose pain really falls by three points in six weeks nearly four in five are said to be better at the end of them, of those who fall by two a little more than half; of a hundred who do not change about three. Whoever knew the true shape, scatter and correlation of each diary would find 86 and 67 % with three false of a hundred. Worse is said a little more easily, on purpose. A clinic whose days wander as in the second one is said to change more often than it does: a level that really shifts for a while is a change while it lasts.
`,
);
