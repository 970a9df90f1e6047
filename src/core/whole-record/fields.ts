import { clockText, toHundredth } from '../units';

/** Names of fields that hold a minute of the day. */
const MINUTES = new Set(['minute', 'from', 'to']);

/** @example fieldName('settlesWithin') // 'settles within' */
export function fieldName(name: string): string {
  return name.replaceAll(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
}

/**
 * The fields of an entry in words, one a line, so that an entry of whichever kind can be read. Fields
 * that hold nothing are left out.
 *
 * @example fieldsInWords({ way: 'call', reached: true }) // ['way: call', 'reached: yes']
 */
export function fieldsInWords(body: unknown): string[] {
  if (typeof body !== 'object' || body === null) return [];
  return Object.entries(body).flatMap(([name, value]) => {
    const said = valueInWords(name, value);
    return said === '' ? [] : [`${fieldName(name)}: ${said}`];
  });
}

function valueInWords(name: string, value: unknown): string {
  if (value === null || value === undefined) return '';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number')
    return MINUTES.has(name) ? clockText(value) : String(toHundredth(value));
  if (typeof value === 'string') return value;
  if (Array.isArray(value))
    return value
      .map((one) => valueInWords(name, one))
      .filter((one) => one !== '')
      .join('; ');
  // The clock times of a day's plan, each under its session.
  if (name === 'at')
    return Object.entries(value)
      .map(([session, minute]) => `${session} ${valueInWords('minute', minute)}`)
      .join(', ');
  return fieldsInWords(value).join(', ');
}
