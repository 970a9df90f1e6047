import { AsyncLocalStorage } from 'node:async_hooks';
import { randomUUID } from 'node:crypto';
import pino from 'pino';

/** Shared with the bundled server, which writes the same id beside its failures (src/server/log.ts). */
const requests = (globalThis[Symbol.for('dry-lantern.request')] ??= new AsyncLocalStorage());

/**
 * Lines of JSON with the time: what was asked for, by its kind and never by whose it was, how it was
 * answered and how long it took. LOG_LEVEL=silent keeps them back.
 */
const log = pino({
  level: process.env.LOG_LEVEL ?? 'info',
  base: undefined,
  timestamp: pino.stdTimeFunctions.isoTime,
});

/** An address without what it is about: ids and tokens become ":id", and nothing behind "?" stays. */
export function kindOfPath(url) {
  const [path] = url.split('?');
  return path
    .split('/')
    .map((part) => (/[0-9]/.test(part) && part.length > 8 ? ':id' : part.slice(0, 40)))
    .join('/')
    .slice(0, 200);
}

/** Answers a request under an id of its own, and writes a line when it is answered. */
export function logged(request, response, answer) {
  const id = randomUUID();
  const began = performance.now();
  response.setHeader('x-request-id', id);
  response.once('close', () => {
    const path = kindOfPath(request.url ?? '');
    if (path.startsWith('/_next/')) return;
    log.info({
      request: id,
      method: request.method,
      path,
      status: response.statusCode,
      ms: Math.round(performance.now() - began),
      // Closed before it was whole: whoever asked had left.
      ...(response.writableFinished ? {} : { left: true }),
    });
  });
  return requests.run(id, answer);
}
