import type { PatientDetails } from '../records';

const IS_NUMBER = /^[+\d\s()/.-]*\d.*\d.*\d[\d\s()/.-]*$/;

/** Every number that can be dialled for a patient, the patient's own first, each once. */
export function reachable(
  { phones, guardian }: Pick<PatientDetails, 'phones' | 'guardian'>,
  contact: string,
): readonly { readonly number: string; readonly what: string }[] {
  const all = [
    ...phones,
    ...(IS_NUMBER.test(contact) ? [{ number: contact, what: '' }] : []),
    ...(guardian.phone === '' ? [] : [{ number: guardian.phone, what: 'guardian' }]),
  ];
  const same = (number: string) => number.replace(/\D/g, '');
  return all.filter(
    (one, at) => all.findIndex((other) => same(other.number) === same(one.number)) === at,
  );
}

/** The address that dials a number. @example dialled('+000 (555) 01-42') // 'tel:+0005550142' */
export function dialled(number: string): string {
  return `tel:${number.replace(/[^+\d]/g, '')}`;
}
