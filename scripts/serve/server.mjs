import { createServer } from 'node:http';
import compression from 'compression';
import next from 'next';
import { lateScripts } from './late-scripts.mjs';

/**
 * Serves the built application: `node scripts/serve/server.mjs PORT`. It adds two things to the
 * framework's own server: everything is compressed, answers of handlers too, and the patient's first
 * page begins its scripts late (docs/decisions/0025-late-scripts.md).
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

const isFirstPage = ({ method, url, headers }) =>
  method === 'GET' &&
  new URL(url, 'http://localhost').pathname === '/today' &&
  headers.rsc === undefined;

/** Holds a page back until it is whole, and sends it changed. */
function sendChanged(response, change) {
  const chunks = [];
  const end = response.end.bind(response);
  const add = (chunk, encoding) => {
    if (typeof chunk === 'string') chunks.push(Buffer.from(chunk, encoding));
    else if (chunk) chunks.push(Buffer.from(chunk));
  };
  response.flushHeaders = () => undefined;
  response.flush = () => undefined;
  response.write = (chunk, encoding, done) => {
    add(chunk, typeof encoding === 'string' ? encoding : 'utf8');
    const called = typeof encoding === 'function' ? encoding : done;
    if (called) process.nextTick(called);
    return true;
  };
  response.end = (chunk, encoding, done) => {
    if (typeof chunk !== 'function') add(chunk, typeof encoding === 'string' ? encoding : 'utf8');
    const called = [chunk, encoding, done].find((one) => typeof one === 'function');
    const isPage = String(response.getHeader('content-type')).startsWith('text/html');
    const body = Buffer.concat(chunks);
    response.removeHeader('content-length');
    return end(isPage ? change(body.toString('utf8')) : body, called);
  };
}

createServer((request, response) => {
  compress(request, response, () => {
    if (isFirstPage(request)) sendChanged(response, lateScripts);
    void handle(request, response);
  });
}).listen(port);
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    void app.close().finally(() => process.exit(0));
  });
