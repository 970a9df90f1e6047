import { createServer } from 'node:http';
import compression from 'compression';
import next from 'next';

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

createServer((request, response) => {
  compress(request, response, () => {
    void handle(request, response);
  });
}).listen(port);
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    void app.close().finally(() => process.exit(0));
  });
