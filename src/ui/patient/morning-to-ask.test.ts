import { addDays, localDate } from '@/core/units';
import { morningToAsk } from './morning-to-ask';

const TODAY = localDate('2026-11-27');
const ago = (days: number) => addDays(TODAY, -days);

it('is what the clinic asks, on the day its pack was made for', () => {
  const pack = { made: TODAY, morningOf: ago(1) };
  expect(morningToAsk(pack, TODAY, [], [])).toBe(ago(1));
  expect(morningToAsk({ ...pack, morningOf: null }, TODAY, [ago(1)], [])).toBeNull();
  // Told here, and not at the clinic yet.
  expect(morningToAsk(pack, TODAY, [], [TODAY])).toBeNull();
});

it('without a signal is the newest day lately on which something was done here', () => {
  const pack = { made: ago(1), morningOf: ago(2) };
  expect(morningToAsk(pack, TODAY, [ago(3), ago(1), ago(2)], [])).toBe(ago(1));
  expect(morningToAsk(pack, TODAY, [TODAY], [])).toBeNull();
  expect(morningToAsk(pack, TODAY, [ago(3)], [])).toBe(ago(3));
  expect(morningToAsk(pack, TODAY, [ago(4)], [])).toBeNull();
  expect(morningToAsk(pack, TODAY, [ago(1)], [TODAY])).toBeNull();
  expect(morningToAsk(pack, TODAY, [], [])).toBeNull();
});
