import type { Instant } from '@/core/schedule';
import { MINUTE_MS } from '@/core/units';
import { Problem } from '../problem';
import { MOST_A_MINUTE, countRead } from './rate';

const AT = 1_800_000_000_000 as Instant;
const refused = (key: string, at: number) => {
  try {
    countRead(key, at as Instant);
    return null;
  } catch (error) {
    return error instanceof Problem ? error.status : error;
  }
};
const times = (count: number, key: string, at: number) =>
  Array.from({ length: count }, () => refused(key, at));

it('lets a key ask so often a minute, and no more until it is over', () => {
  expect(new Set(times(MOST_A_MINUTE, 'one', AT))).toEqual(new Set([null]));
  expect(refused('one', AT + 1)).toBe(429);
  // Each key is counted by itself.
  expect(refused('another', AT + 1)).toBeNull();
  expect(refused('one', AT + 2 * MINUTE_MS)).toBeNull();
});
