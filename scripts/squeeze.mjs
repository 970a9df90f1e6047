import { join } from 'node:path';
import { ROOT } from './lib/project.mjs';
import { lighten } from './lib/lighten.mjs';
import { squeeze } from './lib/squeeze.mjs';

/**
 * The last step of `npm run build`: what is sent to every browser as small as it can be, what a server
 * holds as small as it is.
 */
await Promise.all([
  squeeze(join(ROOT, '.next', 'static')),
  lighten(join(ROOT, '.next', 'server', 'chunks')),
]);
