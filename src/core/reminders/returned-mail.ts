/** What a mail that came back says of the one it is about. */
export type ReturnedMail =
  /** It names no report of a delivery: an answer of a person, or of an answering machine. */
  | { readonly kind: 'no report' }
  /** The mail server goes on trying. */
  | { readonly kind: 'delayed' }
  | {
      readonly kind: 'failed';
      /** The code of the failure, such as 5.1.1 (RFC 3463); null where none is named. */
      readonly status: string | null;
    };

/** Letters of our own ids of mails, before the sign @. */
const OWN_ID = /\b([0-9a-f]{32})@/g;
const MOST_IDS = 50;

/**
 * Reads the report on a mail that could not be delivered (RFC 3464). Its fields are plain lines: parts of
 * the kind message/* are never encoded (RFC 2046, 5.2.1), so that nothing has to be unpacked.
 *
 * @example readReturned('Action: failed\r\nStatus: 5.1.1\r\n') // { kind: 'failed', status: '5.1.1' }
 */
export function readReturned(text: string): ReturnedMail {
  const actions = [...text.matchAll(/^Action:\s*(\w+)/gim)].map(([, action]) =>
    (action ?? '').toLowerCase(),
  );
  if (actions.includes('failed')) {
    const [, status = null] = /^Status:\s*([245]\.\d{1,3}\.\d{1,3})/im.exec(text) ?? [];
    return { kind: 'failed', status };
  }
  return actions.includes('delayed') ? { kind: 'delayed' } : { kind: 'no report' };
}

/** Ids of mails that a returned one names, as far as they look like ours; each once. */
export function mailIdsIn(text: string): string[] {
  return [...new Set([...text.matchAll(OWN_ID)].map(([, id]) => id ?? ''))].slice(0, MOST_IDS);
}
