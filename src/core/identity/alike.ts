import { type LocalDate, plainWords } from '../units';

export type Identity = { readonly name: string; readonly birthDate: LocalDate | null };

/**
 * Whether two may be one person: the same words in the name in any order, unless both birth dates are known
 * and differ; or the same birth date and a word of the name in common.
 *
 * @example isAlike({ name: 'Brekkel, Tomas', birthDate: null }, { name: 'Tomas Brekkel', birthDate: null }) // true
 */
export function isAlike(a: Identity, b: Identity): boolean {
  const [one, other] = [wordsOf(a.name), wordsOf(b.name)];
  const bothKnown = a.birthDate !== null && b.birthDate !== null;
  if (bothKnown && a.birthDate !== b.birthDate) return false;
  if (one.join(' ') === other.join(' ')) return true;
  return bothKnown && one.some((word) => word.length > 1 && other.includes(word));
}

const wordsOf = (name: string) => plainWords(name).sort();

/**
 * Whole years of age on a day. Somebody born on 29 February is a year older on 1 March.
 *
 * @returns null for a birth date that is yet to come
 * @example ageOn(localDate('2000-11-30'), localDate('2026-11-29')) // 25
 */
export function ageOn(birthDate: LocalDate, day: LocalDate): number | null {
  if (birthDate > day) return null;
  const years = Number(day.slice(0, 4)) - Number(birthDate.slice(0, 4));
  return day.slice(5) < birthDate.slice(5) ? years - 1 : years;
}
