const { readFileSync } = require('node:fs');
const { join, sep } = require('node:path');

/** The houses that only reckon: what they keep is what they have once reckoned. */
const HOUSES = ['core', 'catalogue'].map((house) => join(__dirname, '../../src', house) + sep);

/** Packages without settings or connections of their own, and long to load. */
const PACKAGES = [
  '@formatjs/[a-z-]+',
  '@libsql/[a-z-]+',
  '@messageformat/[a-z-]+',
  'd3',
  'd3-[a-z-]+',
  'drizzle-orm',
  'fast-check',
  'fflate',
  'ical.js',
  'internmap',
  'intl-messageformat',
  'libsql',
  'minisearch',
  'moo',
  'papaparse',
  'pure-rand',
  'react',
  'react-dom',
  'scheduler',
  'temporal-polyfill',
  'temporal-utils',
  'uuid',
  'zod',
];
const OF_PACKAGE = new RegExp(`[\\\\/]node_modules[\\\\/](${PACKAGES.join('|')})[\\\\/]`);

/** True for a module that every test file may get as another one left it. @param path absolute */
exports.isLent = (path) =>
  !/\.test\.tsx?$/.test(path) &&
  (OF_PACKAGE.test(path) || HOUSES.some((house) => path.startsWith(house)));

/** What a test does that changes a module or a clock for all who have it. */
const CHANGES =
  /\bjest\s*\.\s*(mock|doMock|spyOn|replaceProperty|useFakeTimers|resetModules|isolateModules)\b/;

/**
 * True for a test file that has every module and global for itself: one that changes them, and every
 * one in `npm run long` and in the mutation check, where each has to stand by itself; also where files
 * change while Jest watches them, or what they pass is counted.
 */
exports.standsAlone = (testPath, { watch, watchAll, collectCoverage }) =>
  watch ||
  watchAll ||
  collectCoverage ||
  Boolean(process.env.EVERY_CASE ?? process.env.OWN_MODULES) ||
  CHANGES.test(readFileSync(testPath, 'utf8'));
