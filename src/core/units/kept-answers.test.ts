import { keptAnswers } from './kept-answers';

test('Each answer is found once, also one that is nothing of itself', () => {
  const kept = keptAnswers<string, unknown>(10);
  for (const answer of [false, 0, '', null, 'some']) {
    const find = jest.fn(() => answer);
    const key = `the key of ${String(answer)}`;
    expect([kept(key, find), kept(key, find)]).toEqual([answer, answer]);
    expect(find).toHaveBeenCalledTimes(1);
  }
});

test('No more are kept than is said: then all are forgotten, and the newest is kept', () => {
  const kept = keptAnswers<number, number>(3);
  const find = jest.fn((key: number) => key * key);
  const ask = (key: number) => kept(key, () => find(key));
  for (const key of [1, 2, 3, 3, 2, 1]) expect(ask(key)).toBe(key * key);
  expect(find).toHaveBeenCalledTimes(3);
  ask(4);
  ask(4);
  expect(find).toHaveBeenCalledTimes(4);
  ask(1);
  expect(find).toHaveBeenCalledTimes(5);
});

test('What fails is not kept', () => {
  const kept = keptAnswers<string, number>(3);
  const fails = () => {
    throw new RangeError('not this time');
  };
  expect(() => kept('one', fails)).toThrow('not this time');
  expect(kept('one', () => 1)).toBe(1);
});
