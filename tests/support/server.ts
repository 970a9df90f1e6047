import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, openSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export const ROOT = join(__dirname, '..', '..');

/** A folder of its own, removed by `close`. */
export function temporaryFolder(name: string): string {
  return mkdtempSync(join(tmpdir(), `dry-lantern-${name}-`));
}

export async function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() =>
        address && typeof address === 'object'
          ? resolve(address.port)
          : reject(new Error('no port')),
      );
    });
  });
}

export type TestServer = {
  readonly origin: string;
  readonly data: string;
  /** Everything it printed so far. */
  log(): string;
  /** Ends the process, keeping the data; `start` begins it again on the same port. */
  stop(signal?: NodeJS.Signals): Promise<void>;
  start(): Promise<void>;
  close(): Promise<void>;
};

/** Starts the built application on an empty database of its own. */
export async function startTestServer(
  environment: Record<string, string> = {},
): Promise<TestServer> {
  const data = temporaryFolder('server');
  const port = await freePort();
  const logFile = join(data, 'server.log');
  let child: ChildProcess | null = null;

  async function start(): Promise<void> {
    const output = openSync(logFile, 'a');
    child = spawn(process.execPath, ['scripts/serve/server.mjs', String(port)], {
      cwd: ROOT,
      env: {
        ...process.env,
        NODE_ENV: 'production',
        NEXT_TELEMETRY_DISABLED: '1',
        DATA_DIR: data,
        NEW_CLINIC: '1',
        // Whatever the machine calls itself.
        HOST: '',
        PUBLIC_URL: `http://localhost:${port}`,
        PAGES_WHEN_ASKED: '1',
        ...environment,
      },
      stdio: ['ignore', output, output],
    });
    const until = Date.now() + 400_000;
    while (Date.now() < until) {
      try {
        const { status } = await fetch(`http://127.0.0.1:${port}/healthz`, {
          signal: AbortSignal.timeout(60_000),
        });
        if (status === 200) return;
      } catch {
        // Not listening yet.
      }
      if (child.exitCode !== null) break;
      await new Promise((resolve) => setTimeout(resolve, 80));
    }
    throw new Error(`the server did not start:\n${readFileSync(logFile, 'utf8')}`);
  }

  async function stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<void> {
    const running = child;
    child = null;
    if (!running || running.exitCode !== null) return;
    const ended = new Promise((resolve) => running.once('exit', resolve));
    running.kill(signal);
    await ended;
  }

  await start();
  return {
    origin: `http://localhost:${port}`,
    data,
    log: () => readFileSync(logFile, 'utf8'),
    stop,
    start,
    async close() {
      await stop();
      rmSync(data, { recursive: true, force: true });
    },
  };
}

/**
 * The server that files of one run share; each makes clinics of its own in it. A file that stops its
 * server, needs another environment or an empty database starts one of its own.
 */
export function sharedServer(): TestServer {
  const origin = process.env.SHARED_SERVER_ORIGIN;
  const data = process.env.SHARED_SERVER_DATA;
  if (!origin || !data) throw new Error('the shared server was not started');
  const never = () => Promise.reject(new Error('others use this server too'));
  return {
    origin,
    data,
    log: () => readFileSync(join(data, 'server.log'), 'utf8'),
    stop: never,
    start: never,
    close: () => Promise.resolve(),
  };
}
