import { spawn } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, readFileSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** The tests as they are, in an order and a choice of our own. */
const CONFIG = `import config from './jest.config.mjs';
export default {
  ...config,
  testSequencer: '<rootDir>/scripts/mutate/likeliest-first.mjs',
  projects: config.projects.map((project) => ({
    ...project,
    testEnvironment: '<rootDir>/scripts/mutate/asked-tests.cjs',
    setupFilesAfterEnv: process.env.REACHED_FILE
      ? [...project.setupFilesAfterEnv, '<rootDir>/scripts/mutate/record-reached.ts']
      : project.setupFilesAfterEnv,
  })),
};
`;

/** A copy of a project in which files may be changed; packages are shared. */
export function copyOf(root: string): string {
  const folder = mkdtempSync(join(tmpdir(), 'dry-lantern-mutate-'));
  for (const path of ['src', 'tests', 'scripts', 'docs', 'languages'])
    if (existsSync(join(root, path)))
      cpSync(join(root, path), join(folder, path), { recursive: true });
  for (const path of ['package.json', 'jest.config.mjs', 'tsconfig.json', 'next.config.ts'])
    cpSync(join(root, path), join(folder, path));
  symlinkSync(join(root, 'node_modules'), join(folder, 'node_modules'));
  writeFileSync(join(folder, 'jest.mutate.mjs'), CONFIG);
  return folder;
}

/** A test that failed, by its file and its whole name; `name` is null where the file did not load. */
export type Failed = { readonly path: string; readonly name: string | null };

export type Ended =
  | { readonly kind: 'passed' }
  | { readonly kind: 'hung' }
  | { readonly kind: 'failed'; readonly tests: readonly Failed[] };

type Run = {
  readonly args: readonly string[];
  /** Milliseconds after which it is said to hang. */
  readonly ms: number;
  readonly lanes?: number;
  readonly shown?: boolean;
  readonly environment?: Readonly<Record<string, string>>;
};

type JestResult = {
  readonly testResults: readonly {
    readonly name: string;
    readonly status: string;
    readonly assertionResults: readonly { readonly status: string; readonly fullName: string }[];
  }[];
};

/** Runs tests in a copy until one fails. */
export function jestIn(folder: string, run: Run): Promise<Ended> {
  const output = join(folder, 'jest-result.json');
  writeFileSync(output, '');
  return new Promise((resolve) => {
    const child = spawn(
      process.execPath,
      [
        'node_modules/jest/bin/jest.js',
        ...['--config', 'jest.mutate.mjs', '--bail', '--silent', '--json', '--outputFile', output],
        ...(run.lanes ? ['--maxWorkers', String(run.lanes)] : ['--runInBand']),
        ...run.args,
      ],
      {
        cwd: folder,
        stdio: ['ignore', 'ignore', run.shown ? 'inherit' : 'ignore'],
        detached: true,
        env: { ...process.env, ...run.environment },
      },
    );
    let hung = false;
    const timer = setTimeout(() => {
      hung = true;
      if (child.pid) process.kill(-child.pid, 'SIGKILL');
    }, run.ms);
    child.on('exit', (code) => {
      clearTimeout(timer);
      if (hung) resolve({ kind: 'hung' });
      else if (code === 0) resolve({ kind: 'passed' });
      else resolve({ kind: 'failed', tests: failedIn(readFileSync(output, 'utf8')) });
    });
  });
}

function failedIn(output: string): Failed[] {
  if (output === '') return [];
  // Jest's own file, as it documents it.
  const { testResults } = JSON.parse(output) as JestResult;
  return testResults
    .filter(({ status }) => status === 'failed')
    .flatMap(({ name: path, assertionResults }): Failed[] => {
      const failed = assertionResults.filter(({ status }) => status === 'failed');
      return failed.length === 0
        ? [{ path, name: null }]
        : failed.map(({ fullName }) => ({ path, name: fullName }));
    });
}
