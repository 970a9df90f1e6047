import fc from 'fast-check';
import { EXERCISES } from '@/catalogue';
import {
  type Dose,
  completeDose,
  doseDifference,
  formatDose,
  parseDose,
  sayDoseChange,
  unwrittenParts,
} from '.';

const dose = (line: string): Dose => {
  const parsed = parseDose(line);
  if (!parsed.ok) throw new Error(parsed.say);
  return parsed.value;
};
const complete = (line: string, like: string, needs = { sided: false, effort: false }) =>
  formatDose(completeDose(dose(line), dose(like), needs).dose);

describe('completing a dose by one key', () => {
  it('writes what was left out, from the exercise’s own dose first', () => {
    expect(
      complete('3x10', '3x10 rest 90s 40% every other day', { sided: true, effort: true }),
    ).toBe('3x10 rest 90s each side 40% 1/day every other day until review');
    expect(complete('10x10s', '10x10s gap 5s 2/day daily')).toBe(
      '10x10s gap 5s 2/day daily until review',
    );
    expect(complete('30s left', '30s each side', { sided: true, effort: false })).toBe(
      '30s left 1/day daily until review',
    );
  });
  it('leaves nothing missing or assumed in any exercise, and changes nothing the second time', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...EXERCISES),
        fc.constantFrom(
          '3x10',
          '10x10s',
          'x5 hold 3s',
          '6-4-2 hold 10s',
          '30s at 3 barriers',
          '3x10s in 6 directions',
          '2min',
        ),
        ({ usualDose, needs }, line) => {
          const once = completeDose(dose(line), dose(usualDose), needs);
          const { assumed, missing } = unwrittenParts(once.dose, needs);
          expect([...assumed, ...missing]).toEqual([]);
          const back = parseDose(formatDose(once.dose));
          expect(back.ok && formatDose(back.value)).toBe(formatDose(once.dose));
          expect(completeDose(once.dose, dose(usualDose), needs).filled).toEqual([]);
        },
      ),
    );
  });
});

describe('the difference of two doses', () => {
  const say = (before: string, after: string) =>
    doseDifference(dose(before), dose(after)).map(sayDoseChange);
  it('is said part by part', () => {
    expect(say('3x10 hold 5s rest 30s', '3x10 hold 10s rest 60s 2/day')).toEqual([
      'hold 5s → 10s',
      'rest 30s → 60s',
      '2/day added',
    ]);
    expect(say('3x10 daily left', '3x15 every other day')).toEqual([
      '3x10 → 3x15',
      'left left out',
      'daily → every other day',
    ]);
    expect(say('3x10', '3x10')).toEqual([]);
  });
});
