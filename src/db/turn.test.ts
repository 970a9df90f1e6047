import { setImmediate as nextTurn } from 'node:timers/promises';
import { roomInTurn } from './turn';

let now = 1_000;

beforeEach(async () => {
  // The turn of whoever asked before ends.
  await nextTurn();
  await nextTurn();
  jest.spyOn(performance, 'now').mockImplementation(() => now);
});
afterEach(() => {
  jest.restoreAllMocks();
});

/** Whether there is room without waiting, after so many milliseconds of work in a turn. */
async function hasRoomAfter(milliseconds: number): Promise<boolean> {
  await nextTurn();
  await roomInTurn();
  now += milliseconds;
  let came = false;
  setImmediate(() => {
    came = true;
  });
  await roomInTurn();
  return !came;
}

it('lets eight milliseconds of work into a turn', async () => {
  expect(await hasRoomAfter(0)).toBe(true);
  expect(await hasRoomAfter(8)).toBe(true);
  expect(await hasRoomAfter(8.1)).toBe(false);
});

it('begins a turn anew when the event loop has come round', async () => {
  expect(await hasRoomAfter(9)).toBe(false);
  expect(await hasRoomAfter(1)).toBe(true);
});
