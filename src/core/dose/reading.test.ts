import { parseDose, readDose, readToday, sharedWhen } from '.';

const keys = (line: string, read: typeof readDose) => {
  const dose = parseDose(line);
  if (!dose.ok) throw new Error(dose.say);
  return read(dose.value, 'held').map(({ key }) => key);
};

it('says of a day how, without when: its sessions stand there by themselves', () => {
  const line = '2x30s gap 15s 2/day every other day from day 3 until review';
  expect(keys(line, readToday)).toEqual(['head.bouts.held', 'gap']);
  const whole = keys(line, readDose);
  expect(whole.slice(0, 2)).toEqual(keys(line, readToday));
  expect(whole.length).toBe(6);
});

it('says of a day how often it may be done beyond what is due', () => {
  expect(keys('10x10s 1-3/day', readToday)).toEqual([
    'head.bouts.held',
    expect.stringMatching(/^times/),
  ]);
  expect(keys('10x10s 3/day', readToday)).toEqual(['head.bouts.held']);
});

it.each([
  ['x10 2/day', 'times.exact'],
  ['x10 1-3/day', 'times.upTo'],
  ['x10 every 2h', 'times.everyHours'],
  ['x10 every 90min', 'times.everyMinutes'],
  ['x10 as needed', 'times.asNeeded'],
  ['x10 on waking', 'times.onWaking'],
  ['x10 after waking', 'times.afterWaking'],
  ['x10 before hands-on care', 'times.beforeCare'],
  ['x10 after hands-on care', 'times.afterCare'],
  ['x10 before training', 'times.beforeTraining'],
  ['x10 after training', 'times.afterTraining'],
])('%s says when', (line, key) => {
  expect(keys(line, readDose)).toContain(key);
});

it('says what each side is where the exercise says it, and of both sides only which', () => {
  const sides = {
    name: 'lengthened' as const,
    left: 'the left ear to the left shoulder',
    right: 'the right ear to it',
  };
  const ways = { sides, directions: [] };
  const sideIn = (line: string) => {
    const dose = parseDose(line);
    if (!dose.ok) throw new Error(dose.say);
    return readDose(dose.value, 'held', ways).filter(({ key }) => key.startsWith('side'));
  };
  expect(sideIn('3x30s left')).toEqual([{ key: 'side.left.how', values: { how: sides.left } }]);
  expect(sideIn('3x30s right')).toEqual([{ key: 'side.right.how', values: { how: sides.right } }]);
  expect(sideIn('3x30s each side').map(({ key }) => key)).toEqual(['side.each']);
});

describe('what several doses share of their days', () => {
  const shared = (...lines: readonly string[]) =>
    sharedWhen(
      lines.map((line) => {
        const dose = parseDose(line);
        if (!dose.ok) throw new Error(dose.say);
        return dose.value;
      }),
    ).map(({ key }) => key);

  it('is said once for all where all of them say it', () => {
    expect(shared('x10 2/day daily until review', '3x30s 2/day daily until review')).toEqual([
      'everyDay.exact',
      'until.review',
    ]);
    expect(shared('x10 daily until review', '3x30s every other day until review')).toEqual([
      'until.review',
    ]);
    expect(shared('x10 daily', '3x30s every other day')).toEqual([]);
  });

  it('is nothing of one dose, or of none', () => {
    expect(shared('x10 daily until review')).toEqual([]);
    expect(shared()).toEqual([]);
  });
});
