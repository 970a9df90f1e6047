import { join } from 'node:path';
import { ROOT } from './lib/project.mjs';
import { squeeze } from './lib/squeeze.mjs';

/** Makes what a build sends to every browser as small as it can be: the last step of `npm run build`. */
await squeeze(join(ROOT, '.next', 'static'));
