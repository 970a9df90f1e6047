import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { RULES_HASH } from '@/core/screen';
import { limitsIn, limitsListing, numbersListing } from './limits';
import { rulesListing, screeningHash } from './listing';
import { refusalsIn, refusalsListing } from './refusals';

/** A table, limit, default or pace changes on purpose: `npm run rules`, and a look at what it wrote. */
it('docs/rules.md says what the core says', () => {
  expect(rulesListing()).toBe(readFileSync(join(__dirname, '../../docs/rules.md'), 'utf8'));
});

it('the version of the screening is that of its tables', () => {
  expect(screeningHash()).toBe(RULES_HASH);
});

it('docs/limits.md says what the server says', () => {
  const root = join(__dirname, '../..');
  expect(limitsListing(root)).toBe(readFileSync(join(root, 'docs/limits.md'), 'utf8'));
});

it('docs/numbers.md says what the core says', () => {
  const root = join(__dirname, '../..');
  expect(numbersListing(root)).toBe(readFileSync(join(root, 'docs/numbers.md'), 'utf8'));
});

it('docs/refusals.md says what the server says', () => {
  const root = join(__dirname, '../..');
  expect(refusalsListing(root)).toBe(readFileSync(join(root, 'docs/refusals.md'), 'utf8'));
});

it('a refusal is its answer, its words, and its field', () => {
  const text = `const GONE = 'It is gone.';
if (a) throw new Problem(404, GONE);
if (b) throw new Problem(400, \`At most \${MOST}.\`, ['body', 'date']);
throw new Error('not for anybody');`;
  expect(refusalsIn('a.ts', text).map(({ status, say, at }) => [status, say, at])).toEqual([
    ['404', 'It is gone.', ''],
    ['400', 'At most ${MOST}.', 'body.date'],
  ]);
});

it('a limit is what its numbers come to, with the words above it', () => {
  const text = `const SECOND_MS = 1000;
/** At most so long,
 * then it is given up. */
export const LONGEST_MS = 15 * SECOND_MS;
const SIZES = { small: 2 ** 3, large: 100 } as const;
const STEPS = [70, 55];
const BANDS = [{ from: -1, to: null }, { from: 2, to: 'end', open: true }];
const NAMES = ['a', 'b'];
const lower = 5;`;
  expect(limitsIn('a.ts', text).map(({ name, value, what }) => [name, value, what])).toEqual([
    ['SECOND_MS', '1000', ''],
    ['LONGEST_MS', '15000', 'At most so long, then it is given up.'],
    ['SIZES', 'small 8; large 100', ''],
    ['STEPS', '70, 55', ''],
    ['BANDS', '(from -1; to none), (from 2; to “end”; open yes)', ''],
  ]);
});
