import { doseSigns, parseDose } from '.';
import type { BoutMode } from './reading';

const signs = (text: string, mode: BoutMode = 'held') => {
  const parsed = parseDose(text);
  if (!parsed.ok) throw new Error(text);
  return doseSigns(parsed.value, mode).map((sign) => `${sign.kind} ${sign.text}`.trim());
};

describe('the signs of a dose', () => {
  it.each<[string, readonly string[]]>([
    ['10x10s', ['hold 10 s', 'repeat ×10']],
    ['10x1s', ['hold 1 s', 'repeat ×10']],
    ['3x10 hold 5s each side', ['hold 5 s', 'repeat 3 × 10', 'sides']],
    ['6-4-2 hold 10-15s', ['hold 10–15 s', 'repeat 6-4-2']],
    ['x10', ['repeat ×10']],
    ['5min', ['hold 5 min']],
    ['x5-10 breath 4-4-4', ['repeat ×5–10', 'breathe 4-4-4']],
    ['30s alternating', ['hold 30 s', 'sides']],
    ['x10 left', ['repeat ×10']],
  ])('%s', (text, said) => {
    expect(signs(text)).toEqual(said);
  });

  it('names no hold where bouts are moved through', () => {
    expect(signs('2x40s', 'moved')).toEqual(['repeat ×2']);
  });
});
