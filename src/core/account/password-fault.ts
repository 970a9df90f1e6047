/** Letters and digits alone, small: what a person would still call the same word. */
const bare = (text: string) => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '');

/** Parts of a name or an address that are too short to be told from chance. */
const SHORTEST_PART = 4;

/**
 * Why a password is too easy to guess, in a sentence; null where it is not. Length over rules (NIST SP
 * 800-63B, 5.1.1.2): nothing is asked of its letters, but it is none of the common ones, not the
 * member's own name or address, and not one letter or a count over and over.
 *
 * @param isCommon whether a password, in small letters, is in a list of common ones
 * @example passwordFault('maren tollivar', { name: 'Maren Tollivar', email: '' }, none) // "…name…"
 */
export function passwordFault(
  password: string,
  { name, email }: { readonly name: string; readonly email: string },
  isCommon: (password: string) => boolean,
): string | null {
  if (isCommon(password.toLowerCase()) || isCommon(bare(password)))
    return 'This password is among those that are tried first. Choose another, such as four words.';
  if (new Set(bare(password)).size < 4)
    return 'This password repeats too few letters. Choose another, such as four words.';
  const own = [...name.split(/\s+/), ...email.split(/[@.]/), name, email.split('@')[0] ?? '']
    .map(bare)
    .filter((part) => part.length >= SHORTEST_PART);
  // What is left once everything of the member's own is taken out.
  const rest = own
    .sort((a, b) => b.length - a.length)
    .reduce((left, part) => left.replaceAll(part, ''), bare(password));
  if (rest.length < 6 && rest.length < bare(password).length)
    return 'This password is little more than your name or address. Choose another, such as four words.';
  return null;
}
