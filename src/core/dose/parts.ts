import { exactly } from '../units';
import { readNumber, NUMBER_SOURCE, takeCount, takeSpan, takeWhole } from './numbers';
import { type Band, DIRECTION_NAMES, type Effort, type Load, type Stations } from './model';
import { TIED, takeDays, takeEvery, takeFrom, takeTied, takeUntil } from './part-times';
import type { Part } from './part';
import type { Scanner } from './scanner';

/** The words a part may begin with, for "expected" in errors and for completion. */
export const PART_WORDS = [
  'hold',
  'move',
  'slow',
  'breath',
  'in',
  'at',
  'band',
  'gap',
  'rest',
  'left',
  'right',
  'each side',
  'alternating',
  'rpe',
  'tuck',
  'warm-up',
  'every',
  'as needed',
  'on waking',
  'after waking',
  'before training',
  'before hands-on care',
  'after hands-on care',
  'after training',
  'daily',
  'mon',
  'from day',
  'until',
] as const;

const LIST = new RegExp(`(?:${NUMBER_SOURCE}|adj)(?:/(?:${NUMBER_SOURCE}|adj))*`);
const PER_WEEK: Readonly<Record<string, string>> = {
  1: 'mon',
  2: 'mon thu',
  3: 'mon wed fri',
  4: 'mon tue thu fri',
  5: 'mon tue wed thu fri',
  6: 'mon tue wed thu fri sat',
  7: 'daily',
};

type Taker = (scanner: Scanner) => Part;

/** First match wins; every pattern ends at a word boundary. */
const TAKERS: readonly (readonly [RegExp, Taker])[] = [
  [
    /hold\b */,
    (s) => ({ slot: 'hold', value: { hold: takeSpan(s, 'holdSeconds', 'hold').range } }),
  ],
  [/gap\b */, (s) => ({ slot: 'gap', value: { gap: takeSpan(s, 'gapSeconds', 'gap').range } })],
  [
    /rest\b */,
    (s) => ({ slot: 'rest', value: { rest: takeSpan(s, 'restSeconds', 'rest').range } }),
  ],
  [
    /move\b */,
    (s) => ({
      slot: 'tempo',
      value: { tempo: { kind: 'move', seconds: takeSpan(s, 'moveSeconds', 'movement').range } },
    }),
  ],
  [/slow\b/, () => ({ slot: 'tempo', value: { tempo: { kind: 'slow' } } })],
  [/breath\b */, takeBreath],
  [/in\b */, takeDirections],
  [/at\b */, takeStations],
  [/band\b */, takeBand],
  [/left\b/, () => ({ slot: 'side', value: { side: 'left' } })],
  [/right\b/, () => ({ slot: 'side', value: { side: 'right' } })],
  [/each +side\b/, () => ({ slot: 'side', value: { side: 'each' } })],
  [/alternating\b/, () => ({ slot: 'side', value: { side: 'alternating' } })],
  [
    /rpe\b */,
    (s) => {
      const range = takeCount(s, 'perceivedEffort', 'perceived effort', ['rpe 3-5']);
      return { slot: 'effort', value: { effort: { kind: 'perceived', range } } };
    },
  ],
  [/tuck\b */, takeTuck],
  [
    /warm-?up\b */,
    (s) => ({
      slot: 'warmUpSets',
      value: { warmUpSets: takeWhole(s, 'warmUpSets', 'warm-up sets', ['warm-up 1']) },
    }),
  ],
  [/every\b */, takeEvery],
  [/as +needed\b/, () => ({ slot: 'times', value: { times: { kind: 'as needed' } } })],
  [TIED, takeTied],
  [/daily\b/, () => ({ slot: 'days', value: { days: { kind: 'daily' } } })],
  [/(?:mon|tue|wed|thu|fri|sat|sun)\b/, takeDays],
  [/from\b */, takeFrom],
  [/until\b */, takeUntil],
  [/(?=\d|adj)/, takeNumberPart],
];

/** Reads the one part that begins here; fails, at its character, on anything else. */
export function takePart(scanner: Scanner): Part {
  for (const [pattern, taker] of TAKERS) {
    const from = scanner.position;
    if (scanner.take(pattern)) {
      // Takers that read their own first word need it back.
      if (taker === takeDays || taker === takeTied) scanner.position = from;
      return taker(scanner);
    }
  }
  return scanner.fail(
    `“${scanner.wordAt(scanner.position)}” is not part of a dose line.`,
    PART_WORDS,
  );
}

function takeBreath(scanner: Scanner): Part {
  const expected = ['breath 4-4-4'];
  const from = scanner.position;
  const match = scanner.take(/(\d{1,3})-(\d{1,3})-(\d{1,3})(?![\d.,]\d|\d)/);
  if (!match) return scanner.fail('A breath is three numbers: in, held, out.', expected);
  const spot = { from, to: scanner.position };
  const [, inward, held, outward] = match.map(Number) as [number, number, number, number];
  scanner.within(exactly(inward), 'breathSeconds', 'breath in', spot, ' s');
  scanner.within(exactly(held), 'breathHoldSeconds', 'breath held', spot, ' s');
  scanner.within(exactly(outward), 'breathSeconds', 'breath out', spot, ' s');
  return { slot: 'breath', value: { breath: { in: inward, hold: held, out: outward } } };
}

const A_DIRECTION = String.raw`(?:front|back|(?:turn[ -])?left|(?:turn[ -])?right)`;
const NAMED_DIRECTIONS = new RegExp(String.raw`${A_DIRECTION}(?: ?\/ ?${A_DIRECTION})*(?![a-z\/])`);

function takeDirections(scanner: Scanner): Part {
  const expected = ['in 6 directions', 'in front/back/left/right'];
  const from = scanner.position;
  const named = scanner.take(NAMED_DIRECTIONS);
  if (named) {
    const words = named[0].split('/').map((word) => word.trim().replace('-', ' '));
    const directions = DIRECTION_NAMES.filter((one) => words.includes(one));
    if (directions.length < words.length)
      scanner.fail('A direction is named twice.', expected, { from, to: scanner.position });
    // In the order they were written: that is the order they are done in.
    directions.sort((a, b) => words.indexOf(a) - words.indexOf(b));
    return { slot: 'directions', value: { directions } };
  }
  const directions = takeWhole(scanner, 'directions', 'directions', expected);
  if (!scanner.take(/ *directions?\b/)) scanner.fail('Expected the word directions.', expected);
  return { slot: 'directions', value: { directions } };
}

function takeStations(scanner: Scanner): Part {
  const expected = ['at 3 angles', 'at 3 barriers', 'at 10/20deg'];
  const from = scanner.position;
  const list = scanner.take(/(\d{1,5}(?:\/\d{1,5})*) *deg\b/);
  if (list) {
    const degrees = (list[1] ?? '').split('/').map(Number);
    const spot = { from, to: scanner.position };
    for (const degree of degrees) scanner.within(exactly(degree), 'degrees', 'degrees', spot, '°');
    if (degrees.length > 6) scanner.fail('At most six positions in one line.', expected, spot);
    return stations({ kind: 'degrees', degrees });
  }
  const number = scanner.take(/\d{1,5}(?=[ a-z])/);
  const kind = scanner.take(/ *(angles?|barriers?)\b/);
  if (!number || !kind) {
    scanner.position = from;
    return scanner.fail('Expected angles, barriers or degrees.', expected);
  }
  const spot: { from: number; to: number } = { from, to: from + number[0].length };
  const count = Number(number[0]);
  if (kind[1]?.startsWith('angle')) {
    scanner.within(exactly(count), 'angles', 'angles', spot);
    return stations({ kind: 'angles', count });
  }
  scanner.within(exactly(count), 'barriers', 'barriers', spot);
  return stations({ kind: 'barriers', count });
}

function stations(value: Stations): Part {
  return { slot: 'stations', value: { stations: value } };
}

function takeBand(scanner: Scanner): Part {
  const expected = ['band light', 'band medium', 'band firm', 'band "name"'];
  const level = scanner.take(/(light|medium|firm)\b/)?.[1];
  let band: Band['band'];
  if (level === 'light' || level === 'medium' || level === 'firm') band = { kind: 'level', level };
  else {
    const from = scanner.position;
    const quoted = scanner.take(/"([^"]{1,40})"/);
    if (!quoted)
      return scanner.fail('Expected a band: light, medium, firm or a name in quotes.', expected);
    // The name keeps the capitals it was typed with.
    band = { kind: 'named', name: scanner.typed.slice(from + 1, scanner.position - 1).trim() };
    if (band.name === '')
      return scanner.fail('The band’s name is empty.', expected, { from, to: scanner.position });
  }
  if (!scanner.take(/ +stretch\b */)) return { slot: 'band', value: { band: { band } } };
  const stretchPercent = takeWhole(scanner, 'bandStretchPercent', 'percent of stretch', [
    'stretch 50%',
  ]);
  if (!scanner.take(/ *%/)) scanner.fail('Expected % after the stretch.', ['stretch 50%']);
  return { slot: 'band', value: { band: { band, stretchPercent } } };
}

function takeTuck(scanner: Scanner): Part {
  const examples = ['tuck 50%', 'tuck 10-20%', 'tuck 25-38mm'];
  // How far in millimetres or in percent decides what it may be.
  const inMm = scanner.sees(/\d+(?: *- *\d+)? *mm\b/);
  const range = inMm
    ? takeCount(scanner, 'tuckMm', 'millimetres of the tuck', examples)
    : takeCount(scanner, 'tuckPercent', 'percent of the full tuck', examples);
  if (!scanner.take(inMm ? / *mm\b/ : / *%/))
    scanner.fail('Expected % or mm after the tuck.', examples);
  return { slot: 'tuck', value: { tuck: { kind: inMm ? 'mm' : 'percent', range } } };
}

/** A part that begins with a number: effort, load, times a day; or one of their misspellings. */
function takeNumberPart(scanner: Scanner): Part {
  const from = scanner.position;
  const perDay = scanner.take(/(?=\d{1,5}(?:-\d{1,5})? *\/ *day\b)/);
  if (perDay) {
    const times = takeCount(scanner, 'timesPerDay', 'times a day', ['2/day']);
    scanner.take(/ *\/ *day\b/);
    return { slot: 'times', value: { times: { kind: 'per day', times } } };
  }
  const perWeek = scanner.take(/(\d{1,5})(?:-\d{1,5})? *\/ *(?:week|wk)\b/);
  if (perWeek) {
    const days = PER_WEEK[perWeek[1] ?? ''] ?? 'mon wed fri';
    return scanner.fail(`Name the days instead of counting them: for instance ${days}.`, [days], {
      from,
      to: scanner.position,
    });
  }
  const effort = scanner.take(/(?=\d{1,5}(?:-\d{1,5})? *%(?! *(?:10|1)rm))/);
  if (effort) {
    const range = takeCount(scanner, 'effortPercent', 'percent effort', ['50%']);
    scanner.take(/ *%/);
    const value: Effort = { kind: 'percent', range };
    return { slot: 'effort', value: { effort: value } };
  }
  const list = scanner.take(LIST);
  if (!list) return scanner.fail('This number cannot be read.', ['50%', '8kg', '2/day']);
  const spot = { from, to: scanner.position };
  const words = list[0].split('/');
  const unit = scanner.take(/ *(kg|lb)\b/)?.[1];
  if (unit === 'kg' || unit === 'lb') return takeWeights(scanner, words, unit, spot);
  const maximum = scanner.take(/ *% *(10rm|1rm)\b/)?.[1];
  if (maximum === '10rm' || maximum === '1rm') return takePercents(scanner, words, maximum, spot);
  return scanner.fail(
    scanner.sees(/ *(?:s|min|h)\b/)
      ? 'A time without its word: say what it is.'
      : 'A number without a unit or a word.',
    ['hold', 'gap', 'rest', 'move', '%', 'kg', '/day'],
    spot,
  );
}

function takeWeights(
  scanner: Scanner,
  words: readonly string[],
  unit: 'kg' | 'lb',
  spot: { from: number; to: number },
): Part {
  const perSet = words.map((word) => (word === 'adj' ? word : readNumber(word)));
  for (const weight of perSet) {
    if (weight !== 'adj') scanner.within(exactly(weight), 'weight', 'load', spot, ` ${unit}`);
  }
  const load: Load = { kind: 'weight', unit, perSet };
  return { slot: 'load', value: { load } };
}

function takePercents(
  scanner: Scanner,
  words: readonly string[],
  of: '10rm' | '1rm',
  spot: { from: number; to: number },
): Part {
  const perSet = words.map((word) => {
    if (word === 'adj')
      return scanner.fail('An adjusted load is written with kg or lb.', ['adj kg'], spot);
    const percent = readNumber(word);
    scanner.within(exactly(percent), 'maximumPercent', `percent of the ${of}`, spot, '%');
    return percent;
  });
  return { slot: 'load', value: { load: { kind: 'percent', of, perSet } } };
}
