import { doseFrom, doseLine } from '../../../tests/support/dose-lines';
import { asLine, drawnCases } from '../../../tests/support/worked';
import { PART_WORDS } from './parts';
import { LIMITS } from './limits';
import {
  BOUT_MODES,
  DOSE_PARTS,
  type Phrase,
  barriersOf,
  blocksOf,
  completeDose,
  doseDifference,
  formatDose,
  formatPart,
  heldSeconds,
  holdOf,
  parseDose,
  readDose,
  repsOf,
  repsOfSet,
  sayDoseChange,
  setsOf,
  sidesOf,
  stationsOf,
  hasMax,
  unwrittenParts,
} from '.';

const LINES = drawnCases(doseLine, 160);

/** A phrase without its quotes: "hold(span.seconds(count.exact(5), 5))". */
function short({ key, values }: Phrase): string {
  const inner = Object.values(values).map((value) =>
    typeof value === 'object'
      ? [value]
          .flat()
          .map((one) => ('date' in one ? one.date : short(one)))
          .join(' ')
      : value,
  );
  return inner.length > 0 ? `${key}(${inner.join(', ')})` : key;
}

it('reads, counts and says a line', () => {
  expect(
    LINES.map((line, i) => {
      const dose = doseFrom(line);
      const mode = BOUT_MODES[i % BOUT_MODES.length] ?? 'held';
      return asLine(
        line,
        formatDose(dose),
        readDose(dose, mode).map(short).join('; '),
        [setsOf(dose.head), repsOfSet(dose.head, 0), repsOfSet(dose.head, 9), stationsOf(dose)],
        [
          barriersOf(dose),
          sidesOf(dose),
          blocksOf(dose),
          repsOf(dose),
          holdOf(dose),
          heldSeconds(dose),
        ],
        hasMax(dose) ? 'until form fails' : 'counted',
      );
    }),
  ).toMatchSnapshot();
});

it('finds what is unwritten and completes it', () => {
  expect(
    LINES.map((line, i) => {
      const dose = doseFrom(line);
      const like = doseFrom(LINES[(i + 1) % LINES.length] ?? line);
      const needs = { sided: i % 2 === 0, effort: i % 3 !== 0 };
      const { assumed, missing } = unwrittenParts(dose, needs);
      const { dose: whole, filled } = completeDose(dose, like, needs);
      return asLine(line, needs, assumed.map(short), missing.map(short), formatDose(whole), filled);
    }),
  ).toMatchSnapshot();
});

it('says how two lines differ', () => {
  expect(
    LINES.slice(1).map((line, i) =>
      doseDifference(doseFrom(LINES[i] ?? line), doseFrom(line))
        .map(sayDoseChange)
        .join('; '),
    ),
  ).toMatchSnapshot();
  expect(
    [
      ['3x10 rest 30s', '3x10 rest 60s'],
      ['3x10 daily', '3x10 every other day'],
      ['3x10 slow', '3x10 move 4s'],
      ['10x10s each side', '10x10s left'],
    ].map(([before = '', after = '']) =>
      doseDifference(doseFrom(before), doseFrom(after)).map(sayDoseChange).join('; '),
    ),
  ).toMatchSnapshot();
  expect(DOSE_PARTS.map((part) => formatPart(doseFrom('3x10'), part))).toMatchSnapshot();
});

/** A line that writes one number of the grammar. */
const WITH: Readonly<Record<keyof typeof LIMITS, (n: number) => string>> = {
  sets: (n) => `${n}x1`,
  reps: (n) => `x${n}`,
  bouts: (n) => `${n}x1s`,
  headSeconds: (n) => `${n}s`,
  holdSeconds: (n) => `x1 hold ${n}s`,
  moveSeconds: (n) => `x1 move ${n}s`,
  gapSeconds: (n) => `x2 gap ${n}s`,
  restSeconds: (n) => `2x2 rest ${n}s`,
  breathSeconds: (n) => `x1 breath ${n}-0-4`,
  breathHoldSeconds: (n) => `x1 breath 4-${n}-4`,
  directions: (n) => `x1 in ${n} directions`,
  angles: (n) => `x1 at ${n} angles`,
  barriers: (n) => `5s at ${n} barriers`,
  degrees: (n) => `x1 at ${n}/20deg`,
  weight: (n) => `x1 ${n}kg`,
  maximumPercent: (n) => `x1 ${n}% 10rm`,
  bandStretchPercent: (n) => `x1 band firm stretch ${n}%`,
  effortPercent: (n) => `x1 ${n}%`,
  perceivedEffort: (n) => `x1 rpe ${n}`,
  tuckPercent: (n) => `x1 tuck ${n}%`,
  tuckMm: (n) => `x1 tuck ${n}mm`,
  warmUpSets: (n) => `20x1 warm-up ${n}`,
  timesPerDay: (n) => `x1 ${n}/day`,
  everyMinutes: (n) => `x1 every ${n}min`,
  everyDays: (n) => `x1 every ${n} days`,
  day: (n) => `x1 from day ${n}`,
};

it('takes the least and the most of every number, and nothing beyond', () => {
  expect(
    (Object.keys(LIMITS) as (keyof typeof LIMITS)[]).map((name) => {
      const [least, most] = LIMITS[name];
      const step = Number.isInteger(least) ? 1 : 0.1;
      const tried = [least - step, least, most, most + 1].map((n) => {
        const line = WITH[name](Math.round(n * 10) / 10);
        const parsed = parseDose(line);
        return `${line}: ${parsed.ok ? formatDose(parsed.value) : `${parsed.at}+${parsed.length} ${parsed.say}`}`;
      });
      return `${name}: ${tried.join(' | ')}`;
    }),
  ).toMatchSnapshot();
});

it('says what is wrong, where, and what would be right', () => {
  const wrong = [
    '',
    '10',
    '6-4',
    '5x',
    '3x10 hold',
    '3x10 hold 5',
    '3x10 hold x',
    '3x10 5s',
    '3x10 hold 5s hold 6s',
    '10x10s hold 5s',
    '3x12-8',
    '3x10 rest',
    '3x10 gap 10-5s',
    '3x10 left right',
    '3x10 at',
    '3x10 at 3',
    '3x10 at 3 barriers',
    '3x10 at 200deg',
    '3x10 in',
    '3x10 in 3',
    '3x10 band',
    '3x10 band blue',
    '3x10 band "a',
    '3x10 5/10kg',
    '3x10 5/10/15/20kg',
    '3x10 50%/60% 10rm',
    '3x10 rpe',
    '3x10 rpe 11',
    '3x10 tuck',
    '3x10 tuck 50',
    '3x10 warm-up',
    '3x10 warm-up 3',
    '3x10 every',
    '3x10 every other',
    '3x10 every 2',
    '3x10 mon mon',
    '3x10 3/week',
    '3x10 from',
    '3x10 from day',
    '3x10 from day 15 until 14 days',
    '3x10 until',
    '3x10 until 14',
    '3x10 until 2026-02-30',
    '3x10 from day 15 until 15 days',
    '20x200 in 8 directions',
    '20x10 in 8 directions each side',
    '10x100 each side',
    '10x10s gap 5s rest 60s',
    '3x10 breath',
    '3x10 breath 4-4',
    '3x10 on',
    '3x10 before',
    '3x10 vigorously',
    '3x10hold 5s',
    'x10.5',
    '2.5x10',
    '3x10 move',
    '3x10 1-2-3',
    '6-4-2-max-1-1-1-1-1-1-1-1',
    '3X10 HOLD 5S',
    '3×10 hold 5–10s',
    '2h',
    '1h 30min',
    '3x10, hold 5s; gap 2s',
    '10 x 10 s',
    '3 x 10',
    '2,5s',
    'x5 hold 2,5s',
    '3x10 hold 30s-1min',
    '3x10  2/day   daily',
  ];
  expect(
    wrong.map((line) => {
      const parsed = parseDose(line);
      return parsed.ok
        ? asLine(line, formatDose(parsed.value))
        : asLine(line, parsed.at, parsed.length, parsed.found, parsed.say, parsed.expected);
    }),
  ).toMatchSnapshot();
  expect(parseDose('x'.repeat(5000)).ok).toBe(false);
  expect(PART_WORDS).toMatchSnapshot();
});
