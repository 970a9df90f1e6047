import { buffer } from 'node:stream/consumers';

/** Where phones post what was done. */
const EVENTS_PATH = '/api/v1/patient/events';

/** How the bundled server answers a post of events (src/instrumentation.ts). */
const ANSWER = Symbol.for('dry-lantern.events');

/**
 * Answers a post of events before the framework is asked anything: two hundred phones post at once, and what
 * the framework puts around a request and its answer costs as much as writing it. Its length is bounded
 * before its first byte (body-limit.mjs).
 *
 * @returns false where this is no such post, or nobody answers yet
 */
export async function answerEvents(request, response) {
  const answer = globalThis[ANSWER];
  if (request.method !== 'POST' || request.url !== EVENTS_PATH || answer === undefined)
    return false;
  const { headers } = request;
  const {
    status,
    headers: own,
    body,
  } = await answer({
    head: { get: (name) => headers[name]?.toString() ?? null },
    // No more arrives than its head says, which was looked at before.
    bytes: () => buffer(request),
    hasLeft: () => response.destroyed,
  });
  response.writeHead(status, { ...own, 'Content-Length': Buffer.byteLength(body) });
  response.end(body);
  return true;
}
