import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** The tones of both themes, read from the one place where they stand. */
const css = readFileSync(join(__dirname, 'globals.css'), 'utf8');
const [light = '', dark = ''] = [...css.matchAll(/:root \{([^}]*)\}/g)].map(([, body]) => body);
const tonesIn = (body: string) =>
  new Map(
    [...body.matchAll(/--([a-z-]+): (#[0-9a-f]{6});/g)].map(([, name, tone]) => [name, tone]),
  );

/** Relative luminance, WCAG 2.2. */
function luminance(tone: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5]
    .map((at) => Number.parseInt(tone.slice(at, at + 2), 16) / 255)
    .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4));
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
function contrast(one: string, other: string): number {
  const [brighter = 0, darker = 0] = [luminance(one), luminance(other)].sort((a, b) => b - a);
  return (brighter + 0.05) / (darker + 0.05);
}

it('reckons contrast as WCAG does', () => {
  // Worked in the definition itself: black on white is 21, a tone on itself 1.
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5);
  expect(contrast('#767676', '#ffffff')).toBeCloseTo(4.54, 2);
  expect(contrast('#123456', '#123456')).toBe(1);
});

describe.each([
  ['light', light],
  ['dark', dark],
])('the tones of the %s theme', (_, body) => {
  const tones = tonesIn(body);
  const of = (name: string) => tones.get(name) ?? '#none';
  it.each(['paper', 'sheet', 'wash'])('edges of fields and buttons are seen on %s', (ground) => {
    expect(contrast(of('edge'), of(ground))).toBeGreaterThanOrEqual(3);
  });
  it.each(['ink', 'soft', 'action', 'plum', 'stop', 'lit-ink'])('%s is read on paper', (tone) => {
    for (const ground of ['paper', 'sheet'])
      expect(contrast(of(tone), of(ground))).toBeGreaterThanOrEqual(4.5);
  });
  it.each([
    ['on-action', 'action'],
    ['on-stop', 'stop'],
    ['paper', 'ink'],
    ['paper', 'plum'],
  ])('%s is read on %s', (tone, ground) => {
    expect(contrast(of(tone), of(ground))).toBeGreaterThanOrEqual(4.5);
  });
});
