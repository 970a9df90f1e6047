import { startTestServer } from './server';

/** One server for every browser file that does not stop, starve or look into its own. */
const running = globalThis as { dryLanternServer?: Awaited<ReturnType<typeof startTestServer>> };

export default async function start(): Promise<void> {
  const server = await startTestServer({ PAGES_WHEN_ASKED: '' });
  running.dryLanternServer = server;
  process.env.SHARED_SERVER_ORIGIN = server.origin;
  process.env.SHARED_SERVER_DATA = server.data;
}
