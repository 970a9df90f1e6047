import { readFileSync, writeFileSync } from 'node:fs';
import { RULES_HASH, RULES_VERSION } from '@/core/screen';
import { limitsListing, numbersListing } from './limits';
import { rulesListing, screeningHash } from './listing';
import { refusalsListing } from './refusals';

/** `npm run rules`: writes docs/rules.md, and raises the version of the screening when it changed. */
const VERSION_FILE = 'src/core/screen/rules-version.ts';
const LISTING = 'docs/rules.md';
const LIMITS = 'docs/limits.md';
const NUMBERS = 'docs/numbers.md';
const REFUSALS = 'docs/refusals.md';

const hash = screeningHash();
let listing = rulesListing();
if (hash !== RULES_HASH) {
  const next = RULES_VERSION + 1;
  const text = readFileSync(VERSION_FILE, 'utf8')
    .replace(/RULES_VERSION = \d+/, `RULES_VERSION = ${next}`)
    .replace(/RULES_HASH: string = '[^']*'/, `RULES_HASH: string = '${hash}'`);
  writeFileSync(VERSION_FILE, text);
  listing = listing.replace(
    `Version ${RULES_VERSION} of the rules.`,
    `Version ${next} of the rules.`,
  );
  console.log(`The screening's tables changed: its rules are version ${next} now.`);
}
writeFileSync(LISTING, listing);
writeFileSync(LIMITS, limitsListing(process.cwd()));
writeFileSync(NUMBERS, numbersListing(process.cwd()));
writeFileSync(REFUSALS, refusalsListing(process.cwd()));
console.log(
  `${LISTING}, ${LIMITS}, ${NUMBERS} and ${REFUSALS} written. Read their difference before you commit it.`,
);
