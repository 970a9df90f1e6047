/**
 * The letters of a text that none of the fonts can draw, each once, in order. White space and
 * marks that only join letters are never missing.
 *
 * @param draws whether some font has a glyph for a code point
 * @example missingLetters('Łódź 東', (c) => c < 0x2000) // ['東']
 */
export function missingLetters(text: string, draws: (codePoint: number) => boolean): string[] {
  const letters = [...text.normalize('NFC')].filter(
    (letter) => !/^[\s\p{Cf}]$/u.test(letter) && !draws(letter.codePointAt(0) ?? 0),
  );
  return [...new Set(letters)];
}
