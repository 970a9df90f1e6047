import { endTogether, ensureBuild, ensurePackages, option, startServer } from './lib/project.mjs';

/**
 * Starts a real clinic's server: `npm start -- --port 3000 --data DIR`. On an empty database it
 * prints a one-time code for the first-run page.
 */
const port = Number(option('port', process.env.PORT ?? '3000'));
ensurePackages();
ensureBuild();
const child = await startServer({
  port,
  environment: { DATA_DIR: option('data', process.env.DATA_DIR ?? 'data') },
  stdio: ['ignore', 'inherit', 'inherit'],
});
endTogether(child);
