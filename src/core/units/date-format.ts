import { intlTag } from './intl-tag';

/** Making one is dear, on a phone as dear as drawing the page: one for each language, zone and look. */
const FORMATS = new Map<string, Intl.DateTimeFormat>();

/**
 * How moments are written in a language: the same format whenever the same is asked for.
 *
 * @param tag the language, BCP 47; plain English is written day before month
 * @throws RangeError for a zone that this runtime does not know
 * @example dateFormat('en', { day: 'numeric', month: 'short', timeZone: 'UTC' }).format(0) // "1 Jan"
 */
export function dateFormat(
  tag: string,
  options: Readonly<Intl.DateTimeFormatOptions>,
): Intl.DateTimeFormat {
  const key = `${tag} ${JSON.stringify(options)}`;
  const format = FORMATS.get(key) ?? new Intl.DateTimeFormat(intlTag(tag), options);
  FORMATS.set(key, format);
  return format;
}
