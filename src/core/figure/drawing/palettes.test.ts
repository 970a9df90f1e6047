import { PAPER_PALETTE } from './paper';
import { PRINT_PALETTE } from './svg';
import type { Tone } from './shape';

/** How light a colour is, 0–255 (Rec. 601 luma): what is left of it in black and white. */
function light(colour: string): number {
  const part = (at: number) => Number.parseInt(colour.slice(at, at + 2), 16);
  return 0.299 * part(1) + 0.587 * part(3) + 0.114 * part(5);
}

it.each([
  ['on the screen', PRINT_PALETTE],
  ['on paper', PAPER_PALETTE],
])('what lies over each other is told apart without colour, %s', (_, palette) => {
  const apart = (a: Tone, b: Tone) => Math.abs(light(palette[a].fill) - light(palette[b].fill));
  expect(apart('cloth', 'shorts')).toBeGreaterThan(40);
  expect(apart('skin', 'cloth')).toBeGreaterThan(30);
  expect(apart('skin', 'skin-far')).toBeGreaterThan(20);
  expect(apart('hair', 'skin')).toBeGreaterThan(90);
});

it('paints every tone like this', () => {
  expect([PRINT_PALETTE, PAPER_PALETTE]).toMatchSnapshot();
});
