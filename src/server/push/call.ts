import { type RequestOptions, request as plainRequest } from 'node:http';
import { request } from 'node:https';
import webPush from 'web-push';
import type { PushServer, PushSubscriptionRow } from '@/db';
import { isStandIn, mayBeCalled } from './endpoint';
import { guardedLookup } from './guarded-lookup';

/** A service that does not answer keeps nobody waiting longer, milliseconds. */
const PATIENCE_MS = 15_000;
/** A notice that could not be shown for so long is not shown any more, seconds: it would be late. */
const HOLDS_S = 45 * 60;

/** What became of a notice: taken, to be tried again, or the phone takes none any more. */
export type PushOutcome = 'sent' | 'failed' | 'gone';

/**
 * Sends one notice to a phone's maker, encrypted for the phone alone (RFC 8291, 8292; `web-push`).
 *
 * @param subject who answers for what is sent: the clinic's public address
 */
export async function sendNotice(
  { publicKey, privateKey }: Pick<PushServer, 'publicKey' | 'privateKey'>,
  { endpoint, p256dh, auth }: Pick<PushSubscriptionRow, 'endpoint' | 'p256dh' | 'auth'>,
  notice: { readonly title: string; readonly body: string },
  subject: string,
): Promise<PushOutcome> {
  if (!mayBeCalled(endpoint)) return 'gone';
  let details: webPush.RequestDetails;
  try {
    details = webPush.generateRequestDetails(
      { endpoint, keys: { p256dh, auth } },
      JSON.stringify(notice),
      { TTL: HOLDS_S, vapidDetails: { subject, publicKey, privateKey } },
    );
  } catch {
    // Keys of the right length that are none: nothing can be encrypted for this phone.
    return 'gone';
  }
  const url = new URL(endpoint);
  const options: RequestOptions = {
    method: details.method,
    headers: details.headers,
    timeout: PATIENCE_MS,
    ...(isStandIn(url) ? {} : { lookup: guardedLookup() }),
  };
  const status = await new Promise<number>((resolve) => {
    const call = (isStandIn(url) ? plainRequest : request)(url, options, (response) => {
      response.resume();
      resolve(response.statusCode ?? 0);
    });
    call.once('timeout', () => call.destroy());
    call.once('error', () => resolve(0));
    call.end(details.body);
  });
  if (status >= 200 && status < 300) return 'sent';
  // The phone's maker says so of a subscription that is over (RFC 8030, 7.3); keys it refuses never fit.
  return [400, 403, 404, 410].includes(status) ? 'gone' : 'failed';
}
