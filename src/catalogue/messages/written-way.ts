/** Languages that are written from right to left, by their first subtag. */
const RIGHT_TO_LEFT: ReadonlySet<string> = new Set([
  'ar',
  'fa',
  'he',
  'ur',
  'ps',
  'ckb',
  'yi',
  'dv',
]);

/** Which way a language is written: what `dir` says on a page. @example writtenWay('ar') // "rtl" */
export function writtenWay(tag: string): 'ltr' | 'rtl' {
  return RIGHT_TO_LEFT.has(tag.split('-')[0] ?? '') ? 'rtl' : 'ltr';
}

/** Texts that choose by a word they are given: it must come as it is. */
export const CHOSEN_BY: ReadonlySet<string> = new Set([
  'body.region',
  'dose.tuck',
  'letter.limb.drawingIn',
  'letter.limb.butWeaker',
  'letter.limb.spreading',
  'letter.limb.same',
]);
