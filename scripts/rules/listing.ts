import { createHash } from 'node:crypto';
import { EXERCISES } from '@/catalogue';
import { figureOf } from '@/catalogue/figures';
import * as adherence from '@/core/adherence';
import * as choose from '@/core/choose';
import * as dose from '@/core/dose';
import * as exchange from '@/core/exchange';
import * as exercise from '@/core/exercise';
import { drawFigure, themedSvg } from '@/core/figure';
import * as findings from '@/core/findings';
import * as follow from '@/core/follow';
import * as history from '@/core/history';
import * as instruments from '@/core/instruments';
import * as load from '@/core/load';
import * as measures from '@/core/measures';
import * as morning from '@/core/morning';
import * as player from '@/core/player';
import * as programme from '@/core/programme';
import * as course from '@/core/course';
import * as progression from '@/core/progression';
import * as records from '@/core/records';
import * as reminders from '@/core/reminders';
import * as review from '@/core/review';
import * as schedule from '@/core/schedule';
import * as school from '@/core/school';
import * as screen from '@/core/screen';
import * as statistics from '@/core/statistics';
import * as symptoms from '@/core/symptoms';
import * as teach from '@/core/teach';
import * as timeline from '@/core/timeline';
import * as triage from '@/core/triage';
import { z } from 'zod';
import { LIST_BOUNDS, SESSION_LIFE } from '@/db';
import { MOST_BYTES_A_DAY } from '@/server/patient/quota';
import { BATCHES, PERIODS_MS } from '@/server/periods';
import { PICTURE_LIMITS } from '@/server/visit/picture';
import { ATTEMPTS } from '@/server/attempts';
import { boundsOf } from './bounds';

/** What each school is stands under `school`; of its rule is listed what that adds. */
function withoutFacts({ SCHOOL_RULES, ...house }: typeof progression): object {
  return {
    ...house,
    SCHOOL_RULES: Object.fromEntries(
      Object.entries(SCHOOL_RULES).map(([id, { back }]) => [id, { back }]),
    ),
  };
}

/** Every house of the core whose tables and limits a clinician could feel. */
const HOUSES: Readonly<Record<string, object>> = {
  screen,
  symptoms,
  triage,
  morning,
  course,
  school,
  progression: withoutFacts(progression),
  'how far methods go': {
    growth: Object.fromEntries(
      EXERCISES.flatMap(({ id, growth }) => (growth ? [[id, growth]] : [])),
    ),
  },
  load,
  measures,
  findings,
  choose,
  follow,
  history,
  adherence,
  dose,
  timeline,
  schedule,
  programme,
  player,
  exercise,
  exchange,
  instruments,
  reminders,
  review,
  statistics,
  teach,
};

/** The version of the screening rules is kept beside every screening: it counts these tables. */
const SCREENING = 'screen';
/** Left out of what the version counts: it says the version itself. */
const VERSION_NAMES = new Set(['RULES_VERSION', 'RULES_HASH']);

/** A value as lines, its functions left out: they are rules' sentences, held by their own tests. */
function linesOf(value: unknown, depth: number): string[] {
  const indent = '  '.repeat(depth);
  if (Array.isArray(value)) {
    if (value.every((one) => typeof one !== 'object' || one === null))
      return [`${indent}- ${value.map(String).join(' · ')}`];
    return value.flatMap((one, index) => [
      `${indent}- ${nameOf(one) ?? index + 1}`,
      ...linesOf(one, depth + 1),
    ]);
  }
  if (typeof value === 'object' && value !== null)
    return Object.entries(value).flatMap(([name, part]): string[] => {
      if (typeof part === 'function') return [];
      if (part instanceof z.ZodType)
        return boundsOf(name, part).map((line) => `${indent}- ${line}`);
      if (typeof part !== 'object' || part === null) return [`${indent}- ${name}: ${String(part)}`];
      return [`${indent}- ${name}:`, ...linesOf(part, depth + 1)];
    });
  return [`${indent}- ${String(value)}`];
}

function nameOf(value: unknown): string | null {
  if (typeof value !== 'object' || value === null) return null;
  const { id, name } = value as { id?: unknown; name?: unknown };
  const found = id ?? name;
  return typeof found === 'string' ? found : null;
}

function houseLines(house: object): string[] {
  return Object.entries(house)
    .filter(([name, value]) => typeof value !== 'function' && !VERSION_NAMES.has(name))
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([name, value]) =>
      typeof value === 'object' && value !== null
        ? [`- **${name}**`, ...linesOf(value, 1)]
        : [`- **${name}**: ${String(value)}`],
    );
}

/** What the screening's tables say, as one hash. */
export function screeningHash(): string {
  return createHash('sha256').update(houseLines(screen).join('\n')).digest('hex').slice(0, 16);
}

/** The bounds of everything that is taken in or kept. */
function recordLines(): string[] {
  return Object.entries(records)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([name, value]) =>
      value instanceof z.ZodType
        ? boundsOf(name, value).map((line) => `- ${line}`)
        : typeof value === 'function'
          ? []
          : [`- **${name}**`, ...linesOf(value, 1)],
    );
}

/** How an exercise is drawn, as one hash; empty where it has no drawing. */
function drawingHash(id: string): string {
  const figure = figureOf(id);
  if (!figure) return '';
  const hash = createHash('sha256');
  for (const side of ['left', 'right'] as const)
    for (const along of [0.5, 1])
      hash.update(themedSvg(drawFigure(figure, along, { side, before: true })));
  return hash.digest('hex').slice(0, 10);
}

/** Every table, limit, default and pace of the core, readable, in one file. */
export function rulesListing(): string {
  const houses = Object.entries(HOUSES).flatMap(([name, house]) => [
    `## ${name}`,
    ...(name === SCREENING ? [`Version ${screen.RULES_VERSION} of the rules.`] : []),
    '',
    ...houseLines(house),
    '',
  ]);
  const exercises = EXERCISES.map(
    ({ id, family, rung, usualDose, traits }) =>
      `| ${id} | ${family} | ${rung} | ${usualDose} | ${traits.join(', ')} | ${drawingHash(id)} |`,
  );
  return [
    '# Rules, limits and defaults',
    '',
    'Made by `npm run rules`, never by hand. A change here is a change a clinician can feel: read the difference before it is committed. A change of the screening raises the version of its rules by itself.',
    '',
    ...houses,
    '## records',
    '',
    ...recordLines(),
    '',
    '## server',
    '',
    ...houseLines({
      ATTEMPTS,
      BATCHES,
      LIST_BOUNDS,
      MOST_BYTES_A_DAY,
      PERIODS_MS,
      PICTURE_LIMITS,
      SESSION_LIFE,
    }),
    '',
    '## exercises',
    '',
    'The drawing is the hash of how it is drawn, half way and at its end: look at the pictures when it changes.',
    '',
    '| exercise | family | rung | usual dose | traits | drawing |',
    '|---|---|---|---|---|---|',
    ...exercises,
    '',
  ].join('\n');
}
