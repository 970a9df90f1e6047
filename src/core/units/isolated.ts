/** First strong isolate, and its end: Unicode Bidirectional Algorithm (UAX 9), 2.4. */
const BEGIN = '\u2068';
const END = '\u2069';

/**
 * What is put into a sentence that is written from right to left, each word of it kept together in its
 * own order: a name, a telephone number, "3 to 5". Numbers are ordered right by themselves.
 *
 * @example isolated({ name: 'Ilse', count: 3 }) // { name: "\u2068Ilse\u2069", count: 3 }
 */
export function isolated(
  values: Readonly<Record<string, string | number>>,
): Readonly<Record<string, string | number>> {
  return Object.fromEntries(
    Object.entries(values).map(([name, value]) => [
      name,
      typeof value === 'string' ? `${BEGIN}${value}${END}` : value,
    ]),
  );
}
