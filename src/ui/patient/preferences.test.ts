import { DEFAULT_PACES } from '@/core/timeline';
import { USUAL, keepPreferences, preferences } from './preferences';

/** What this device keeps, as a page finds it. */
let kept: string | null = null;
beforeAll(() => {
  Object.assign(globalThis, {
    localStorage: {
      getItem: () => kept,
      setItem: (_: string, value: string) => (kept = value),
    },
  });
});
const foundIn = (text: string | null) => {
  kept = text;
  return preferences();
};

it('is the usual where nothing was kept, or nothing that can be read', () => {
  for (const text of [null, '', '{', 'null', '7', '[]', '"x"', '{"paces":null}', '{"paces":7}'])
    expect([text, foundIn(text)]).toEqual([text, USUAL]);
});

it('gives back what was chosen', () => {
  const chosen = {
    ...USUAL,
    tones: false,
    far: true,
    paces: { ...DEFAULT_PACES, rest: 45 as never },
  };
  keepPreferences(chosen);
  expect(preferences()).toEqual(chosen);
});

it('takes of what was kept only what is of its kind', () => {
  const paces = { rest: 'long', moveIn: -1, release: 1e999, getReady: 5, whatever: 3 };
  const text = JSON.stringify({ tones: 'no', voice: true, vibration: 0, other: true, paces });
  expect(foundIn(text.replace('null', '1e999'))).toEqual({
    ...USUAL,
    voice: true,
    paces: { ...DEFAULT_PACES, getReady: 5 },
  });
});
