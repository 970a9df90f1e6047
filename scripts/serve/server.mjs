import { createServer } from 'node:http';
import compression from 'compression';
import next from 'next';
import { bodyRefusal, refuse } from './body-limit.mjs';
import { boundConnections, boundTimes } from './connections.mjs';
import { endWhenTold } from './ending.mjs';
import { answerEvents } from './events.mjs';
import { logged } from './log.mjs';
import { isNoPath } from './request-fault.mjs';
import { listenFault, listeningHost, startFault } from './start-faults.mjs';
import { staticFiles } from './static-files.mjs';

/**
 * Serves the built application: `node scripts/serve/server.mjs PORT`. Beside the framework's own server
 * everything is compressed, answers of handlers too, and everything that comes in has its bounds of
 * size, time and number before the framework sees it.
 */
const port = Number(process.argv[2] ?? process.env.PORT ?? '3000');
const behindProxy = process.env.TRUST_PROXY === '1';

/** A fault of starting is one sentence and no stack. */
function cannotStart(say) {
  console.error(`\n  Dry Lantern cannot start: ${say}\n`);
  process.exit(1);
}
const fault = startFault(process.env, port);
if (fault) cannotStart(fault);
// What is written is its owner's alone: databases, journals, backups.
process.umask(0o077);

const fixed = staticFiles('.next/static');
const app = next({ dev: false, port });
let handle = null;
const server = createServer({ maxHeaderSize: 16 * 1024 });
boundTimes(server);
boundConnections(server, { behindProxy });
server.on('request', (request, response) => {
  logged(request, response, () =>
    answer(request, response).catch(() => {
      // Whatever the framework could not answer; the connection must not hang.
      if (response.headersSent) response.destroy();
      else refuse(response, { status: 500, say: 'Something went wrong on our side.' });
    }),
  );
});
const compress = compression({
  filter(request, response) {
    // The framework hands a handler's type over as a list, which the package does not know.
    const type = response.getHeader('content-type');
    if (Array.isArray(type)) response.setHeader('content-type', type.join());
    return compression.filter(request, response);
  },
});

/**
 * The browser's address: the connection's own, or behind a proxy that the clinic runs (TRUST_PROXY=1)
 * the last one it wrote down. What a browser says of itself is never believed.
 */
function clientAddress({ headers, socket }) {
  const forwarded = behindProxy ? headers['x-forwarded-for'] : undefined;
  const last = String(forwarded ?? '')
    .split(',')
    .at(-1)
    .trim();
  return last === '' ? (socket.remoteAddress ?? 'unknown') : last;
}

async function answer(request, response) {
  const refusal = isNoPath(request.url ?? '')
    ? { status: 400, say: 'This is not an address of a page.' }
    : handle === null
      ? { status: 503, say: 'The server is just starting. Try again in a moment.' }
      : bodyRefusal(request);
  if (refusal) return refuse(response, refusal);
  request.headers['x-client-address'] = clientAddress(request);
  if (await answerEvents(request, response)) return;
  await new Promise((resolve) => compress(request, response, resolve));
  await fixed(request, response, () => handle(request, response));
}

// The port first: a server that cannot listen must not touch the record.
await new Promise((resolve) => {
  server.once('error', (error) => cannotStart(listenFault(error, port)));
  server.listen(port, listeningHost(process.env), resolve);
});
await app.prepare();
handle = app.getRequestHandler();
endWhenTold(server, app);
process.send?.('listening');
