import { writeFileSync } from 'node:fs';
import { bodyMap } from '@/core/figure/body-map';

/** Writes the body that symptoms are marked on: drawn once, so that no page carries what draws it. */
const PATH = 'src/catalogue/body-map.json';
writeFileSync(PATH, `${JSON.stringify({ front: bodyMap('front'), back: bodyMap('back') })}\n`);
