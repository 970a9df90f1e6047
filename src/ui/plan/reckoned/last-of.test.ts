import { lastOf } from './last-of';

it('reckons anew only when it is asked something else', () => {
  const asked: string[] = [];
  const joined = lastOf((a: string, b: readonly string[]) => {
    asked.push(a);
    return [a, ...b].join(' ');
  });
  const rest = ['b'];
  expect([joined('a', rest), joined('a', rest)]).toEqual(['a b', 'a b']);
  expect(asked).toEqual(['a']);
  // The same words in another list are something else: what is compared is the value itself.
  expect(joined('a', ['b'])).toBe('a b');
  expect(joined('c', rest)).toBe('c b');
  expect(asked).toEqual(['a', 'a', 'c']);
  // Only the last is kept.
  joined('a', rest);
  expect(asked).toHaveLength(4);
});

it('gives back the very same answer, so that what shows it need not be drawn again', () => {
  const boxed = lastOf((value: number) => ({ value }));
  expect(boxed(Number.NaN)).toBe(boxed(Number.NaN));
  expect(boxed(1)).not.toBe(boxed(2));
});
