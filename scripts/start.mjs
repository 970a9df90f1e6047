import {
  endTogether,
  ensureBuild,
  ensurePackages,
  flag,
  option,
  startServer,
} from './lib/project.mjs';

/**
 * Starts a real clinic's server: `npm start -- --port 3000 --data DIR`. With `--new` in an empty folder
 * it prints a one-time code for the first-run page; without it a missing database is a fault.
 */
const port = Number(option('port', process.env.PORT ?? '3000'));
ensurePackages({ tools: false });
ensureBuild({ types: false });
const child = await startServer({
  port,
  environment: {
    DATA_DIR: option('data', process.env.DATA_DIR ?? 'data'),
    ...(flag('new') ? { NEW_CLINIC: '1' } : {}),
  },
  stdio: ['ignore', 'inherit', 'inherit'],
});
endTogether(child);
