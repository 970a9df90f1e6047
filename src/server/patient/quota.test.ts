import type { Instant } from '@/core/schedule';
import { MOST_BYTES_A_DAY, countSent } from './quota';

const MORNING = Date.parse('2026-11-28T08:00:00Z') as Instant;
const TOMORROW = (MORNING + 86_400_000) as Instant;

beforeEach(() => {
  (globalThis as unknown as Record<symbol, unknown>)[Symbol.for('dry-lantern.quota')] = undefined;
});

it('lets a day bring ten megabytes for each patient, and says that more is kept for tomorrow', () => {
  countSent('one', MOST_BYTES_A_DAY - 1, MORNING);
  countSent('one', 1, MORNING);
  const refusal = () => {
    try {
      return countSent('one', 1, MORNING);
    } catch (error) {
      return error;
    }
  };
  expect(refusal()).toMatchObject({
    status: 429,
    say: expect.stringContaining('tomorrow') as string,
  });
  // Nobody else's, and not the next day's.
  countSent('another', 1000, MORNING);
  countSent('one', 1000, TOMORROW);
});

it('that was refused does not count', () => {
  expect(() => countSent('one', MOST_BYTES_A_DAY + 1, MORNING)).toThrow();
  countSent('one', MOST_BYTES_A_DAY, MORNING);
});
