import { parseDose, readDose, readToday } from '.';

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
