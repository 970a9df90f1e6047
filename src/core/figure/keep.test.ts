import { numbersOf } from './keep';
import type { Skeleton } from './body';

it('knows a part by each of its seven numbers, part after part', () => {
  const frames = {
    head: { at: [1, 2, 3], turn: [4, 5, 6, 7] },
    thorax: { at: [8, 9, 10], turn: [11, 12, 13, 14] },
  };
  const skeleton = { frames } as unknown as Skeleton;
  expect(numbersOf(skeleton, ['thorax', 'head'])).toEqual([
    8, 9, 10, 11, 12, 13, 14, 1, 2, 3, 4, 5, 6, 7,
  ]);
});
