import { spawn } from 'node:child_process';
import { ENVIRONMENT, ROOT, endTogether, ensurePackages, option } from './lib/project.mjs';

/** Starts the development server: `npm run dev -- --port 3000 --data DIR`. */
ensurePackages();
const child = spawn(
  process.execPath,
  ['node_modules/next/dist/bin/next', 'dev', '-p', option('port', '3000')],
  {
    cwd: ROOT,
    env: {
      ...ENVIRONMENT,
      NEW_CLINIC: '1',
      DATA_DIR: option('data', process.env.DATA_DIR ?? 'data'),
    },
    stdio: 'inherit',
  },
);
endTogether(child);
