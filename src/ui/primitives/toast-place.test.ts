import { TOAST_PLACES, freestPlace, roomOf } from './toast-place';

const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
const at = (left: number, top: number, width = 40, height = 40) => ({
  left,
  top,
  right: left + width,
  bottom: top + height,
});

it('stands in its usual place where nothing is there', () => {
  expect(freestPlace([], DESK)).toBe('bottom-left');
  expect(freestPlace([at(600, 300)], DESK)).toBe('bottom-left');
});

it('gives way to what can be touched, and to as little of it as can be', () => {
  expect(freestPlace([at(100, 720)], DESK)).toBe('bottom-right');
  expect(freestPlace([at(100, 720), at(1000, 720)], DESK)).toBe('bottom-center');
  const everywhere = TOAST_PLACES.map((place) => roomOf(place, DESK));
  expect(freestPlace(everywhere, DESK)).toBe('bottom-left');
  expect(freestPlace([...everywhere, roomOf('bottom-left', DESK)], DESK)).toBe('bottom-right');
});

it('touches what only borders on it', () => {
  const { left, top, right } = roomOf('bottom-left', DESK);
  expect(freestPlace([at(left, top - 40), at(right, top)], DESK)).toBe('bottom-left');
});

it('takes the whole width of a phone, below or above', () => {
  expect(roomOf('bottom-right', PHONE)).toEqual({ left: 16, top: 752, right: 374, bottom: 828 });
  expect(freestPlace([at(300, 780)], PHONE)).toBe('top-right');
});

it.each(TOAST_PLACES)('%s lies within the screen', (place) => {
  for (const view of [DESK, PHONE, { width: 601, height: 320 }]) {
    const { left, top, right, bottom } = roomOf(place, view);
    expect([left >= 0, top >= 0, right <= view.width, bottom <= view.height]).toEqual([
      true,
      true,
      true,
      true,
    ]);
  }
});
