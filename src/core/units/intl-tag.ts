/**
 * A language's tag as dates, numbers, plurals and lists are formatted by it: English as it is written
 * in Britain, and western digits everywhere, because doses, telephone numbers and the count are written
 * with them too and one sentence must not mix two kinds.
 *
 * @param tag BCP 47
 * @example intlTag('ar') // "ar-u-nu-latn"
 */
export function intlTag(tag: string): string {
  const [language = 'en'] = tag.split('-');
  if (tag === 'en') return 'en-GB';
  return WESTERN_DIGITS_TOLD.has(language) && !tag.includes('-u-') ? `${tag}-u-nu-latn` : tag;
}

/** Languages that some engines write with other digits unless they are told. */
const WESTERN_DIGITS_TOLD: ReadonlySet<string> = new Set([
  'ar',
  'fa',
  'ur',
  'ps',
  'ckb',
  'bn',
  'mr',
  'ne',
]);
