import type { ContactBody } from '../records';

const DONE = { call: 'Called', message: 'Wrote', video: 'Spoke by video' } as const;
const TRIED = {
  call: 'Called, not reached',
  message: 'Wrote, no answer',
  video: 'Tried by video, not reached',
} as const;

/**
 * What was done today about a patient who is to be called, by whom, and what came of it.
 *
 * @example contactSaid({ way: 'call', reached: true, agreed: '', by: 'Ione' }) // 'Called today by Ione.'
 */
export function contactSaid({ way, reached, by }: ContactBody & { readonly by: string }): string {
  return `${reached ? DONE[way] : TRIED[way]} today${by === '' ? '' : ` by ${by}`}.`;
}

/**
 * Whether a row of "call today" is done for today: somebody was spoken with, and no alert is open. A call
 * that reached nobody leaves it as it is, and so does an alert that nobody has taken.
 */
export function isCallDone(row: {
  readonly contact: Pick<ContactBody, 'reached'> | null;
  readonly alerts: readonly unknown[];
}): boolean {
  return row.contact?.reached === true && row.alerts.length === 0;
}
