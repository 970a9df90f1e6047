import { ALIASES, EXERCISES } from '@/catalogue';
import { exerciseFinder } from '../find';
import { PASTE_LIMITS, readPasted } from '.';

const find = exerciseFinder(EXERCISES, ALIASES, new Map());
const read = (text: string) =>
  readPasted(text, find, ({ id, name }) => [name, ...(ALIASES[id] ?? [])]);
const [first] = EXERCISES;
if (!first) throw new Error('no exercise');

it.each([
  [`${first.name} 10x10s`, first.id, '10x10s'],
  [`1. ${first.name}: 3 sets of 10, twice a day`, first.id, '3 sets of 10, twice a day'],
  [`- ${first.name.toUpperCase()} – 2x30s gap 15s daily`, first.id, '2x30s gap 15s daily'],
  [`\t• ${first.name}\t10x10s`, first.id, '10x10s'],
  ['bird dog 3x10', 'hands-knees-reach', '3x10'],
])('%j is recognised', (text, id, dose) => {
  expect(read(text)).toMatchObject([{ exercise: { id }, dose, doseError: null }]);
});

describe('what is doubtful is asked, never guessed', () => {
  it('a name that is none, exactly', () => {
    const [line] = read('that neck thing we did 3x10');
    expect(line).toMatchObject({ exercise: null, dose: '3x10' });
    const [nearly] = read(`${first.name} but slower 3x10`);
    expect(nearly?.exercise).toBeNull();
  });

  it('a dose that two people would read differently, or nobody', () => {
    const [turned] = read(`${first.name} 10x3`);
    expect(turned).toMatchObject({ exercise: { id: first.id }, dose: '10x3' });
    expect(turned?.doseError).not.toBeNull();
    const [unread] = read(`${first.name} 10 of these whenever`);
    expect(unread?.doseError).not.toBeNull();
  });

  it('a dose that is not there', () => {
    expect(read(first.name)).toMatchObject([
      { exercise: { id: first.id }, dose: '', doseError: null },
    ]);
  });

  it('a common name that two exercises share', () => {
    const names = EXERCISES.flatMap(({ id }) =>
      (ALIASES[id] ?? []).map((alias) => [alias.toLowerCase(), id] as const),
    );
    const shared = names.find(([alias], at) => names.findIndex(([one]) => one === alias) < at);
    if (shared) expect(read(`${shared[0]} 3x10`)[0]?.exercise).toBeNull();
  });
});

it('reads every exercise’s own name with its usual dose back as itself', () => {
  for (const { id, name, usualDose } of EXERCISES)
    expect([id, read(`${name} ${usualDose}`)[0]?.exercise?.id]).toEqual([id, id]);
});

it('leaves empty lines out and is bounded', () => {
  expect(read('\n \n\n')).toEqual([]);
  const long = Array.from({ length: 200 }, () => `${first.name} 10x10s`).join('\n');
  expect(read(long)).toHaveLength(PASTE_LIMITS.lines);
  expect(read('x'.repeat(5000))[0]?.text.length).toBe(PASTE_LIMITS.letters);
});
