import fc from 'fast-check';
import { runs } from '../../../tests/support/runs';
import { doseLine } from '../../../tests/support/dose-lines';
import { LONGEST_LINE, formatDose, parseDose, readTyped } from '.';

/**
 * What clinicians type, and the line it is rewritten to. Common practice, no source. Counts and what
 * follows them are written in every way beside every other: over 400 lines.
 */
const COUNTS: Readonly<Record<string, readonly string[]>> = {
  '3x10': [
    '3 sets of 10',
    '3 sets x 10',
    '3 sets 10 reps',
    '3 sets of 10 reps',
    '3 x 10 reps',
    '3x10 reps',
    '10 reps x 3 sets',
    '3 SETS OF 10',
    '3 × 10 repetitions',
    '3 sets of 10 times',
  ],
  '2-3x8-12': [
    '2-3 sets of 8-12 reps',
    '2 - 3 sets of 8 - 12',
    '2 to 3 sets of 8 to 12 reps',
    '2–3 sets x 8–12',
  ],
  x10: ['10 reps', '10 times', '10 repetitions', 'repeat 10 times', 'repeat x10', '10 Reps.'],
  '3xmax': [
    '3 x max',
    '3 sets max',
    '3 sets of max reps',
    '3 x AMRAP',
    '3 sets to failure',
    '3 sets until form fails',
    '3 sets of as many reps as possible',
    '3 sets to fatigue',
  ],
  xmax: ['max', 'x max', 'amrap', 'max reps', 'as many as possible'],
  '10x10s': [
    '10 x 10 sec',
    '10x10 seconds',
    '10 x 10 secs',
    '10x10"',
    '10 sec x 10',
    '10x10 sec hold',
    '10 x 10s holds',
    '10 sets of 10 seconds',
  ],
  '3x30s': [
    '30s x 3',
    '30 sec x 3',
    '3x30 seconds',
    '3 x 30"',
    '30 seconds x 3 times',
    '3 sets of 30 sec',
    '3x30s holds',
  ],
  'x10 hold 5s': [
    '10 reps 5s hold',
    '10 reps, hold 5 seconds',
    '10 reps hold for 5 sec',
    'x10 5 sec hold',
    '5s hold x10',
    '5 second hold x 10 reps',
    'hold 5 sec x 10',
    'hold for 5 seconds, repeat 10 times',
    '10 times, 5" hold',
    '10 reps held 5s',
  ],
};
const MORE: Readonly<Record<string, readonly string[]>> = {
  '': [''],
  '2/day': [
    'bid',
    'BID',
    'b.i.d.',
    'twice a day',
    'twice daily',
    '2x/day',
    '2 x/day',
    'x2/day',
    '2 times a day',
    '2x per day',
    'two times per day',
    '2x daily',
    'am/pm',
    'morning and evening',
  ],
  '3/day': ['tid', 't.i.d.', 'three times a day', '3x/day', '3 x a day', 'three times daily'],
  '4/day': ['qid', 'four times a day'],
  '1/day': ['once daily', 'once a day', '1x/day'],
  daily: ['qd', 'every day'],
  'every other day': ['qod', 'EOD', 'every second day', 'every 2 days', 'alternate days'],
  'every 2h': ['every 2 hours', 'q2h', 'every 2 hrs'],
  'every 1h': ['hourly', 'every hour'],
  'as needed': ['prn', 'as required'],
  left: ['L', 'left only', 'left side', 'on the left', 'lt'],
  right: ['R', 'right only', 'right side only', 'to the right'],
  'each side': [
    'L/R',
    'both sides',
    'each side',
    'ea side',
    'per side',
    'bilateral',
    'L & R',
    'left and right',
    'either side',
    'both',
  ],
  alternating: ['alternating sides', 'alternate', 'alt sides'],
  'mon tue wed thu fri': ['mon-fri', 'Mon - Fri', 'weekdays', 'monday to friday'],
  'mon wed fri': [
    'mon/wed/fri',
    'Monday, Wednesday, Friday',
    'mondays wednesdays fridays',
    'mon&wed&fri',
  ],
  'sat sun': ['weekends', 'sat/sun'],
};

const expected = (line: string) => {
  const read = parseDose(line);
  if (!read.ok) throw new Error(`${line}: ${read.say}`);
  return formatDose(read.value);
};
const rows = Object.entries(COUNTS).flatMap(([count, written]) =>
  Object.entries(MORE).flatMap(([more, ways]) =>
    ways.flatMap((way, i) => {
      const typed = written[i % written.length] ?? '';
      const line = expected(`${count} ${more}`);
      return [
        [`${typed} ${way}`.trim(), line],
        [`${typed}, ${way}`.replace(/, $/, ''), line],
      ] as const;
    }),
  ),
);
const SINGLE: readonly (readonly [string, string])[] = [
  ...Object.entries(COUNTS).flatMap(([line, ways]) =>
    ways.map((way) => [way, expected(line)] as const),
  ),
  ["1'", '60s'],
  ['2 min', '2min'],
  ['90 secs', '90s'],
  ['mon-fri 3x10', expected('3x10 mon tue wed thu fri')],
  ['once daily 3x10', expected('3x10 1/day')],
  ['2x/day 10x10s', expected('10x10s 2/day')],
  ['left only 3x10', expected('3x10 left')],
  ['30 s each side x 3', expected('3x30s each side')],
  ['3x12 60s rest', expected('3x12 rest 60s')],
  ['3x12 rest 1 minute', expected('3x12 rest 60s')],
  ['3x12, rest between sets 60 sec', expected('3x12 rest 60s')],
  ['3x10 @ 60%', expected('3x10 60%')],
  ['10 reps, hold 5 seconds, 3 times a day', expected('x10 hold 5s 3/day')],
  ['3x10, 5 sec hold, 2x/day, both sides', expected('3x10 hold 5s each side 2/day')],
  ['10x10 sec, rest between sets 30 sec', expected('10x10s gap 30s')],
  ['3 sets of 30 seconds, rest 1 minute', expected('3x30s rest 60s')],
  ['hold 30 sec, repeat 3', expected('x3 hold 30s')],
  ['2 sets 15 reps bid L only', expected('2x15 2/day left')],
];

it('is held by at least 400 lines', () => {
  expect(new Set([...rows, ...SINGLE].map(([typed]) => typed)).size).toBeGreaterThanOrEqual(400);
});

it.each([...SINGLE, ...rows])('%p is %p', (typed, line) => {
  const read = readTyped(typed);
  expect(read.ok ? formatDose(read.value.dose) : `${read.say} (at ${read.at})`).toBe(line);
});

describe('what two people would read differently', () => {
  it.each([
    ['1.30min', 0, '1 min 30 s, or 78 s'],
    ['0.30min', 0, '0 min 30 s, or 18 s'],
    ['3x10 rest 1.30 min', 10, '90s or 78s'],
    ['3x10 hold 1,000s', 10, 'a thousand, or 1'],
    ['30s x 3 daily', 4, '3 of them each day, or 3 times a day'],
    ['10', 0, '10 what?'],
    ['6-4', 0, 'a range or two sets'],
    ['3x10 3x/week', 5, 'mon wed fri'],
    ['3x10 3 times a week', 5, 'mon wed fri'],
    ['3x10 am', 5, 'choose morning beside the line'],
    ['3x10 hold 5s PM', 13, 'choose evening beside the line'],
    ['10x3', 0, '10 sets of 3, or 3 sets of 10? Write 10 sets of 3, or 3x10.'],
    ['15 x 2', 0, '15 sets of 2, or 2 sets of 15'],
    ['7x3 rest 60s', 0, '7 sets of 3, or 3 sets of 7'],
    ['8 x 2-4 twice a day', 0, '8 sets of 2-4'],
    ['5 min walk', 6, 'not part of a dose line'],
    ['3 sets', 0, '3 what?'],
    ['3x10 left right', 10, 'already given'],
    ['3 sets of 10, 2 sets of 8', 0, '3 what?'],
  ])('%p is asked about at %i', (typed, at, say) => {
    const read = readTyped(typed);
    expect(read.ok).toBe(false);
    if (read.ok) return;
    expect(read.say).toContain(say);
    expect(read.at).toBe(at);
  });

  it.each([
    ['5x3', '5x3'],
    ['6x3', '6x3'],
    ['7x4', '7x4'],
    ['10x10', '10x10'],
    ['10 sets of 3', '10 sets of 3'],
    ['10 sets of 3 rest 60s daily', '10 sets of 3 rest 60s daily'],
    ['10 sets x 3 reps, bid', '10 sets of 3 2/day'],
    ['10x3 reps', '10 sets of 3'],
    ['10x3s', '10x3s'],
    ['tuck 25-38mm 10x10s', null],
    ['x10 tuck 25 - 38 mm', 'x10 tuck 25-38mm'],
    ['x10 before treatment', 'x10 before hands-on care'],
    ['x10 after hands-on care', 'x10 after hands-on care'],
    ['x10 after waking', 'x10 after waking'],
  ])('%s is plain: %s', (typed, line) => {
    const read = readTyped(typed);
    expect(read.ok ? formatDose(read.value.dose) : null).toBe(
      line ?? (read.ok ? '10x10s tuck 25-38mm' : null),
    );
  });

  it('once answered is printed so, and neither the stored line nor the printed one is asked', () => {
    const stored = parseDose('10x3 rest 60s');
    expect(stored.ok && formatDose(stored.value)).toBe('10 sets of 3 rest 60s');
    const printed = readTyped('10 sets of 3 rest 60s');
    expect(printed.ok && printed.value.rewritten).toBeNull();
    expect(stored.ok && printed.ok && printed.value.dose).toEqual(stored.ok && stored.value);
  });

  it('is not asked of a half minute, or of what is stored', () => {
    for (const typed of ['1.5min', '0,5min', '2.25h', '3x10 tuck 10-20%'])
      expect(readTyped(typed).ok).toBe(parseDose(typed).ok);
    expect(parseDose('1.30min').ok).toBe(true);
  });
});

it('leaves every line of the grammar as it is', () => {
  fc.assert(
    fc.property(doseLine, (line) => {
      const read = parseDose(line);
      const typed = readTyped(line);
      expect(typed.ok).toBe(read.ok);
      if (typed.ok && read.ok) expect(typed.value).toEqual({ dose: read.value, rewritten: null });
    }),
    runs(300),
  );
});

it('rewrites to a line that reads the same and is not rewritten again', () => {
  for (const [typed] of rows) {
    const read = readTyped(typed);
    if (!read.ok) continue;
    const { dose, rewritten } = read.value;
    if (rewritten === null) continue;
    expect(readTyped(rewritten)).toEqual({ ok: true, value: { dose, rewritten: null } });
  }
});

it('never throws, whatever is typed', () => {
  const scraps = fc.constantFrom(
    '3',
    'x',
    '10',
    's',
    ' ',
    'sets',
    'of',
    'hold',
    '-',
    'bid',
    'L',
    '/',
    'day',
    ',',
    '.',
    "'",
    'every',
    'mon',
    'to',
    'fri',
    '%',
    'rest',
    'max',
  );
  fc.assert(
    fc.property(fc.array(scraps, { maxLength: 24 }), (parts) => {
      readTyped(parts.join(''));
      readTyped(parts.join(' '));
    }),
    runs(1000),
  );
  expect(readTyped('3x10 '.repeat(LONGEST_LINE)).ok).toBe(false);
  // Just as long as may be is read like anything shorter.
  const longest = `3 sets of 10${' '.repeat(LONGEST_LINE - 23)}twice a day`;
  expect(longest).toHaveLength(LONGEST_LINE);
  expect(readTyped(longest)).toMatchObject({ ok: true, value: { rewritten: '3x10 2/day' } });
  expect(readTyped(`${longest} `).ok).toBe(false);
});
