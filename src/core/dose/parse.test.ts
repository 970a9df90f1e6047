import { formatDose } from './format';
import { parseDose } from './parse';
import { heldSeconds, repsOf } from './volume';

function read(line: string) {
  const result = parseDose(line);
  if (!result.ok) throw new Error(`${line}: ${result.say} (at ${result.at})`);
  return result.value;
}

const print = (line: string) => formatDose(read(line));

describe('reading and printing', () => {
  it.each([
    ['3x10 hold 5s gap 2s rest 60s each side 50% 2/day'],
    ['6-4-2 hold 10-15s rest 20-30s daily'],
    ['5x5s at 3 angles rest 60s 50% every other day'],
    ['10x10s'],
    ['x10 every 2h'],
    ['30s at 3 barriers daily'],
    ['3x10s in 6 directions'],
    ['60s tuck 10-20% every 2h'],
    ['5x3s at 10/20deg alternating'],
    ['1-2x20-30 from day 1 until 14 days'],
    ['10-6-max-max 10/15/20/adj kg'],
    ['3x10 50/75/100% 10rm rest 2min every other day'],
    ['x5 breath 4-4-4 on waking'],
    ['3x10 move 4s band "Clinic 3" stretch 50% mon wed fri until review'],
    ['3x8-12 slow band firm warm-up 1 1-8/day until 2027-01-31'],
    ['1-5min rpe 3-5 as needed'],
    ['x10 left before training every 3 days'],
  ])('%s prints as itself', (line) => {
    expect(print(line)).toBe(line);
  });

  it.each([
    ['3 X 10  HOLD 5 s', '3x10 hold 5s'],
    ['3×10 hold 10–15s', '3x10 hold 10-15s'],
    ['2/day 50% 3x10', null],
    ['3x10 daily 2/day rest 60s', '3x10 rest 60s 2/day daily'],
    ['5x hold 5s', '5x5s'],
    ['5x 50% hold 5s', '5x5s 50%'],
    ['1x30s', '30s'],
    ['1x10', 'x10'],
    ['3x30s rest 60s', '3x30s gap 60s'],
    ['30s at 3 barriers rest 5s', '30s at 3 barriers gap 5s'],
    ['x10 2,5kg', 'x10 2.5kg'],
    ['1h', '60min'],
    ['1min-90s', '60-90s'],
    ['60-120s', '1-2min'],
    ['x10 every 120min', 'x10 every 2h'],
    ['x10 every 2 days', 'x10 every other day'],
    ['x10 fri, mon', 'x10 mon fri'],
  ])('%s prints as %s', (line, printed) => {
    if (printed === null) expect(parseDose(line).ok).toBe(false);
    else expect(print(line)).toBe(printed);
  });

  it('keeps what was not written apart from any value', () => {
    expect(read('3x10')).toEqual({
      head: { kind: 'sets', sets: { least: 3, most: 3 }, reps: { least: 10, most: 10 } },
    });
  });
});

describe('values of the grammar', () => {
  it.each([
    ['3x10', 30, null],
    ['10x10s', 10, 100],
    ['5x5s at 3 angles rest 60s', 15, 75],
    ['3x10s in 6 directions', 18, 180],
    ['5x3s in 4 directions', 20, 60],
    ['5x3s at 10/20deg alternating', 20, 60],
    ['5x3s at 1/2/3/4/5/6deg', 30, 90],
  ])('%s is %i repetitions', (line, reps, held) => {
    expect(repsOf(read(line)).least).toBe(reps);
    expect(heldSeconds(read(line))?.least ?? null).toBe(held);
  });

  it('holds 30 s at each of three barriers', () => {
    expect(heldSeconds(read('30s at 3 barriers'))).toEqual({ least: 90, most: 90 });
  });

  it('holds 120–180 s in 6-4-2 at 10–15 s (common practice, no source)', () => {
    const dose = read('6-4-2 hold 10-15s');
    expect(repsOf(dose)).toEqual({ least: 12, most: 12 });
    expect(heldSeconds(dose)).toEqual({ least: 120, most: 180 });
  });
});

describe('mistakes are marked at their character', () => {
  it.each([
    ['', 0, 'begin with how many'],
    ['   ', 3, 'begin with how many'],
    ['hold 5s', 0, 'A dose begins with how many'],
    ['daily', 0, 'A dose begins with how many'],
    ['10', 0, '10 what?'],
    ['5x3s at 1/2/3/4/5/6/7deg', 8, 'At most six'],
    ['6-4', 0, 'range or two sets'],
    ['5x', 2, 'How many of what'],
    ['5x 2/day', 8, 'How many of what'],
    ['3x10 hold 5', 10, 'without a unit'],
    ['3x10 5s', 5, 'without its word'],
    ['3x10 hold 5s hold 6s', 13, 'already given'],
    ['10x10s hold 5s', 7, 'already begins'],
    ['3x12-8', 2, 'backwards'],
    ['3x0', 2, 'least'],
    ['0x10', 0, 'least'],
    ['3x10 hold 0s', 10, 'least'],
    ['3x10 hold 90min', 10, 'most'],
    ['3x999', 2, 'most'],
    ['999-4-2', 0, 'most'],
    ['6-4-max-999', 0, 'most'],
    ['6-0-2', 0, 'least'],
    ['3x10 left each side', 10, 'already given'],
    ['3x10 50% rpe 4', 9, 'already given'],
    ['3x10 2/day every 2h', 11, 'already given'],
    ['3x10 daily mon', 11, 'already given'],
    ['10x10s gap 5s rest 60s', 14, 'keep one'],
    ['3x10 5/10kg', 5, '2 loads for 3 sets'],
    ['30s at 3 angles at 2 barriers', 16, 'already given'],
    ['3x10 at 3 barriers', 5, 'Barriers are held'],
    ['3x10 warm-up 3', 5, 'at most 2'],
    ['10x10s warm-up 1', 7, 'at most 0'],
    ['3x10 3/week', 5, 'mon wed fri'],
    ['3x10 50/adj/100% 10rm', 5, 'written with kg or lb'],
    ['3x10 adj% 1rm', 5, 'written with kg or lb'],
    ['3x10 vigorously', 5, 'not part of a dose line'],
    ['3x10hold 5s', 4, 'directly'],
    ['3x10 until 2026-02-30', 11, 'no such date'],
    ['3x10 from day 15 until 14 days', 17, 'before it begins'],
    ['3x10 mon mon', 9, 'twice'],
    ['20x200 in 8 directions', 0, 'More than 2000'],
    ['3x10 band blue', 10, 'light, medium, firm'],
    ['x10.5', 1, 'whole number'],
    ['2.5x10', 0, 'whole numbers'],
  ])('%p at %i', (line, at, say) => {
    const result = parseDose(line);
    expect(result.ok).toBe(false);
    if (result.ok) return;
    expect(result.say).toContain(say);
    expect(result.at).toBe(at);
    expect(result.length).toBeGreaterThan(0);
  });

  it('offers the days for three times a week', () => {
    const result = parseDose('3x10 3/week');
    expect(result.ok === false && result.expected).toEqual(['mon wed fri']);
  });

  it.each([
    [1, 'mon'],
    [2, 'mon thu'],
    [4, 'mon tue thu fri'],
    [5, 'mon tue wed thu fri'],
    [6, 'mon tue wed thu fri sat'],
    [7, 'daily'],
    // So many do not fit into a week: three, as most are given.
    [8, 'mon wed fri'],
    ['2-3', 'mon thu'],
  ])('offers days for %s times a week', (times, days) => {
    const result = parseDose(`3x10 ${times}/week`);
    expect(result.ok === false && result.expected).toEqual([days]);
  });
});
