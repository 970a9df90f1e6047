import { TIMES_MS } from './connections.mjs';

/** What the bundled server does last (src/instrumentation.ts): its journal is folded into its file. */
const LAST = Symbol.for('dry-lantern.last');

/**
 * Ends a server that is told to: nobody new is let in, what runs is finished within ten seconds, the
 * record is closed. Told twice, it ends at once.
 */
export function endWhenTold(server, app) {
  let told = false;
  const end = async () => {
    if (told) process.exit(1);
    told = true;
    const closed = new Promise((resolve) => server.close(resolve));
    server.closeIdleConnections();
    const idle = setInterval(() => server.closeIdleConnections(), 100);
    await Promise.race([closed, new Promise((resolve) => setTimeout(resolve, TIMES_MS.ending))]);
    clearInterval(idle);
    server.closeAllConnections();
    await globalThis[LAST]?.().catch(() => undefined);
    await app.close().catch(() => undefined);
    process.exit(0);
  };
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => void end());
}
