import type { PatientDetails } from '../records';
import { plainText, plainWords } from '../units';

const digits = (text: string) => text.replace(/\D/g, '');

export type Findable = {
  readonly name: string;
  /** The clinic's own number; empty where it has none. */
  readonly clinicNumber: string;
  readonly phones: readonly string[];
  readonly complaints: readonly string[];
};

/** Everything a patient is found by, in one text. A telephone number stands in it without its blanks. */
export function searchText({ name, clinicNumber, phones, complaints }: Findable): string {
  return [name, clinicNumber, ...complaints]
    .map(plainText)
    .concat(phones.map(digits))
    .filter((part) => part !== '')
    .join(' ');
}

/** The same of a patient with their details: everybody's number who is reached for them finds them too. */
export function searchTextOf(
  { name, contact }: { readonly name: string; readonly contact: string },
  { phones, clinicNumber, emergency, guardian }: PatientDetails,
  complaints: readonly string[],
): string {
  return searchText({
    name,
    clinicNumber,
    phones: [contact, ...phones.map(({ number }) => number), emergency.phone, guardian.phone],
    complaints,
  });
}

/**
 * What has to stand in a patient's text for what was typed: every word, or the digits of a number however
 * it is grouped.
 *
 * @example searchWords('+000 555 0142') // ['0005550142']
 */
export function searchWords(typed: string): string[] {
  const number = digits(typed);
  if (number.length >= 3 && !/\p{L}/u.test(typed)) return [number];
  return plainWords(typed);
}
