import { ENGLISH } from '@/catalogue';
import type { SessionSlot, WallMinute } from '@/core/schedule';
import { slotText } from './slot-text';

const said = (slot: SessionSlot) => slotText(slot, ENGLISH);
const any = (nth: number, of: number) => said({ kind: 'any', nth, of });

it('calls a session what its place in the day is, each its own', () => {
  const all = [
    any(1, 1),
    any(1, 2),
    any(2, 2),
    any(2, 3),
    any(3, 4),
    said({ kind: 'on waking' }),
    said({ kind: 'after waking' }),
    said({ kind: 'before hands-on care' }),
    said({ kind: 'after hands-on care' }),
    said({ kind: 'before training' }),
    said({ kind: 'after training' }),
    said({ kind: 'at', minute: 450 as WallMinute, minutesApart: 120 }),
  ];
  expect(all).toMatchSnapshot();
  expect(new Set(all).size).toBe(all.length);
  expect([any(1, 3), any(3, 3)]).toEqual([any(1, 2), any(2, 2)]);
});
