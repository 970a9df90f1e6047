import { createHmac } from 'node:crypto';

/**
 * The id under which a mail leaves, so that its report can be told from everybody's: made of the clinic's
 * own key, and telling nobody else whom it was for.
 *
 * @param key the clinic's own
 * @param messageId of the outbox
 */
export function mailIdOf(key: string, messageId: string): string {
  return createHmac('sha256', key).update(`mail ${messageId}`).digest('hex').slice(0, 32);
}
