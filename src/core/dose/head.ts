import { exactly } from '../units';
import type { Head } from './model';
import { NUMBER_SOURCE, takeCount, takeSpan } from './numbers';
import { LIMITS } from './limits';
import type { Scanner } from './scanner';

/** `open` is "5x": bouts whose length the part "hold" must give. */
export type ParsedHead =
  | Head
  | { readonly kind: 'open'; readonly bouts: { least: number; most: number } };

const HEADS = ['3x10', '10x10s', '30s', 'x10', '6-4-2', '3xmax'];
/** Sets in turn: three of them or more, or fewer with a "max" among them, which no range has. */
const PYRAMID =
  /(?:(?:max|\d{1,5})(?:-(?:max|\d{1,5})){2,}|max(?:-(?:max|\d{1,5}))?|\d{1,5}-max)(?![a-z0-9.,%/-])/;
const TIMES_MAX = /(?:(\d{1,5}) *)?x *max(?![a-z0-9.,%/-])/;
const SPAN_FOLLOWS = new RegExp(
  `${NUMBER_SOURCE} *(?:- *${NUMBER_SOURCE} *)?(?:s|min|h)(?![a-z0-9])`,
);
const SPAN_WITH_TWO_UNITS = new RegExp(
  `${NUMBER_SOURCE} *(?:s|min|h) *- *${NUMBER_SOURCE} *(?:s|min|h)(?![a-z0-9])`,
);
const COUNT_FOLLOWS = /\d{1,5}(?:-\d{1,5})?(?= |$)/;

/**
 * From this many sets on, at least twice as many sets as repetitions: "10x3" may be meant as three
 * sets of ten. Five sets of three is ordinary strength work. Common practice, no source.
 */
const MANY_SETS = 7;

/** True for a head that two people would read differently; it is printed "10 sets of 3". */
export function looksTurnedRound({ sets, reps }: Extract<Head, { kind: 'sets' }>): boolean {
  return sets.least >= MANY_SETS && sets.least >= 2 * reps.most;
}

/** Reads what the line begins with: how many, of what. */
export function takeHead(scanner: Scanner): ParsedHead {
  scanner.skipSpace();
  if (scanner.atEnd) scanner.fail('The dose is missing: begin with how many.', HEADS);
  if (scanner.sees(PYRAMID)) return takePyramid(scanner);
  if (scanner.sees(TIMES_MAX)) return takeTimesMax(scanner);
  if (scanner.take(/x *(?=\d)/)) {
    return {
      kind: 'sets',
      sets: exactly(1),
      reps: takeCount(scanner, 'reps', 'repetitions', ['x10']),
    };
  }
  if (scanner.sees(SETS_OF)) return takeSetsOf(scanner);
  if (scanner.sees(/\d{1,5}(?:-\d{1,5})? *x/)) return takeTimes(scanner);
  if (scanner.sees(new RegExp(`(?:${SPAN_FOLLOWS.source}|${SPAN_WITH_TWO_UNITS.source})`))) {
    return {
      kind: 'bouts',
      bouts: exactly(1),
      span: takeSpan(scanner, 'headSeconds', 'bout').range,
    };
  }
  return failHead(scanner);
}

function takePyramid(scanner: Scanner): Head {
  const from = scanner.position;
  const text = scanner.take(PYRAMID)?.[0] ?? '';
  const reps = text.split('-').map((word) => (word === 'max' ? 'max' : Number(word)));
  const spot = { from, to: scanner.position };
  for (const count of reps) {
    if (count !== 'max') scanner.within(exactly(count), 'reps', 'repetitions', spot);
  }
  scanner.within(exactly(reps.length), 'sets', 'sets', spot);
  return { kind: 'pyramid', reps };
}

/** "3xmax": so many sets, each until form fails. */
function takeTimesMax(scanner: Scanner): Head {
  const from = scanner.position;
  const sets = Number(scanner.take(TIMES_MAX)?.[1] ?? 1);
  scanner.within(exactly(sets), 'sets', 'sets', { from, to: scanner.position });
  return { kind: 'pyramid', reps: Array.from({ length: sets }, () => 'max') };
}

const SETS_OF = /\d{1,5}(?:-\d{1,5})? +sets? +of +\d{1,5}(?:-\d{1,5})?(?= |$)/;

/** "10 sets of 3": the answer to which is which. */
function takeSetsOf(scanner: Scanner): Head {
  const sets = takeCount(scanner, 'sets', 'sets', HEADS);
  scanner.take(/ +sets? +of +/);
  const reps = takeCount(scanner, 'reps', 'repetitions', ['10', '8-12']);
  return { kind: 'sets', sets, reps };
}

/** After "3x": a span, a count, or nothing yet. */
function takeTimes(scanner: Scanner): ParsedHead {
  const from = scanner.position;
  const times = takeCount(scanner, 'bouts', 'sets or bouts', HEADS);
  const spot = { from, to: scanner.position };
  scanner.take(/ *x/);
  const afterX = scanner.position;
  scanner.skipSpace();
  if (scanner.sees(SPAN_FOLLOWS) || scanner.sees(SPAN_WITH_TWO_UNITS)) {
    return { kind: 'bouts', bouts: times, span: takeSpan(scanner, 'headSeconds', 'bout').range };
  }
  if (scanner.sees(COUNT_FOLLOWS) || (scanner.position === afterX && scanner.sees(/\d/))) {
    scanner.within(times, 'sets', 'sets', spot);
    const reps = takeCount(scanner, 'reps', 'repetitions', ['10', '8-12', '10s']);
    return { kind: 'sets', sets: times, reps };
  }
  scanner.position = afterX;
  return { kind: 'open', bouts: times };
}

function failHead(scanner: Scanner): never {
  const from = scanner.position;
  const pair = scanner.take(/(\d+)-(\d+)(?= |$)/);
  if (pair) {
    const [, a = '', b = ''] = pair;
    return scanner.fail(
      `${a}-${b} could be a range or two sets: write x${a}-${b}, ${a}-${b}s, or all sets as 6-4-2.`,
      [`x${a}-${b}`, `${a}-${b}s`, '6-4-2'],
      { from, to: scanner.position },
    );
  }
  const lone = scanner.take(new RegExp(`${NUMBER_SOURCE}(?= |$)`));
  if (lone) {
    const n = lone[0];
    return scanner.fail(
      `${n} what? Write x${n} for repetitions, ${n}s for seconds, 3x${n} for sets.`,
      [`x${n}`, `${n}s`, `3x${n}`],
      { from, to: scanner.position },
    );
  }
  if (scanner.sees(/\d+\.\d+ *x/)) return scanner.fail('Sets are whole numbers.', HEADS);
  return scanner.fail(
    `A dose begins with how many, up to ${LIMITS.sets[1]} sets: for instance 3x10 or 10x10s.`,
    HEADS,
  );
}
