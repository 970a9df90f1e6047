import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { RULES_HASH } from '@/core/screen';
import { rulesListing, screeningHash } from './listing';

/** A table, limit, default or pace changes on purpose: `npm run rules`, and a look at what it wrote. */
it('docs/rules.md says what the core says', () => {
  expect(rulesListing()).toBe(readFileSync(join(__dirname, '../../docs/rules.md'), 'utf8'));
});

it('the version of the screening is that of its tables', () => {
  expect(screeningHash()).toBe(RULES_HASH);
});
