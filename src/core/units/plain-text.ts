/**
 * A text without case and accents, its words apart by one blank: what is looked for is read the same way.
 *
 * @example plainText('Ólafur  O’Neil-Ås') // 'olafur o neil as'
 */
export function plainText(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
}

/** Its words; none of an empty text. */
export function plainWords(text: string): string[] {
  const plain = plainText(text);
  return plain === '' ? [] : plain.split(' ');
}
