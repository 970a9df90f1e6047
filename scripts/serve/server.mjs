import { createServer } from 'node:http';
import compression from 'compression';
import next from 'next';
import { bodyRefusal, refuse } from './body-limit.mjs';

/**
 * Serves the built application: `node scripts/serve/server.mjs PORT`. Beside the framework's own server
 * everything is compressed, answers of handlers too.
 */
const port = Number(process.argv[2] ?? process.env.PORT ?? '3000');
const app = next({ dev: false, port });
await app.prepare();
const handle = app.getRequestHandler();
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
  const forwarded = process.env.TRUST_PROXY === '1' ? headers['x-forwarded-for'] : undefined;
  const last = String(forwarded ?? '')
    .split(',')
    .at(-1)
    .trim();
  return last === '' ? (socket.remoteAddress ?? 'unknown') : last;
}

createServer((request, response) => {
  const refusal = bodyRefusal(request);
  if (refusal) {
    refuse(response, refusal);
    return;
  }
  request.headers['x-client-address'] = clientAddress(request);
  compress(request, response, () => {
    void handle(request, response);
  });
}).listen(port);
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    void app.close().finally(() => process.exit(0));
  });
