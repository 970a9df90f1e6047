import { renderToStaticMarkup } from 'react-dom/server';
import type { Rib } from './rib';
import { SmallLantern, SmallLanternParts } from './small-lantern';

const lit = (share: number, isNow = false): Rib => ({ kind: 'lit', share, isNow });
const bare = (kind: 'rest' | 'paused' | 'none'): Rib => ({ kind, share: 0, isNow: false });
const RIBS = [
  bare('none'),
  lit(1),
  lit(0.5),
  lit(0),
  bare('rest'),
  bare('paused'),
  lit(0.25, true),
];
const drawn = (ribs: readonly Rib[]) =>
  renderToStaticMarkup(<SmallLantern ribs={ribs} label="Seven days" height={58} />);

/** Lengths of the lines of one kind, in order. */
function lines(picture: string, kind: string): number[] {
  const path = new RegExp(`class="${kind}" d="([^"]+)"`).exec(picture)?.[1] ?? '';
  return [...path.matchAll(/h([\d.]+)/g)].map(([, length]) => Number(length));
}

it('is an image with a text equivalent', () => {
  expect(drawn(RIBS)).toContain('role="img"');
  expect(drawn(RIBS)).toContain('aria-label="Seven days"');
});

it('lights the share done, leaves a missed day dark, a rest day bare, a paused day dotted', () => {
  const picture = drawn(RIBS);
  const wide = (share: number, at: number) =>
    lines(drawn(RIBS.map((_, index) => (index === at ? lit(share) : bare('none')))), 'lit')[0];
  const found = lines(picture, 'lit');
  // Full, half, and a quarter of today; the missed day has none.
  expect(found).toHaveLength(3);
  expect((found[1] ?? 0) / (wide(1, 2) ?? 1)).toBeCloseTo(0.5);
  expect((found[2] ?? 0) / (wide(1, 6) ?? 1)).toBeCloseTo(0.25);
  expect([lines(picture, 'rest'), lines(picture, 'paused')].map(({ length }) => length)).toEqual([
    1, 1,
  ]);
});

it('carries the wick at today alone, and nothing before the first day', () => {
  expect(drawn(RIBS).match(/class="wick"/g)).toHaveLength(1);
  expect(drawn([lit(1), lit(0)])).not.toContain('wick');
  expect(drawn([bare('none'), bare('none')])).not.toContain('<path');
});

it('shares its frame with all others of the page', () => {
  const frame = renderToStaticMarkup(<SmallLanternParts ribs={7} />);
  const id = /<symbol id="([^"]+)"/.exec(frame)?.[1];
  expect(drawn(RIBS)).toContain(`<use href="#${id}"`);
});
