import { statSync } from 'node:fs';

/**
 * Files that take long for their size, the longest first. Whoever has no times of an earlier run (a fresh
 * clone) goes by size, and these would begin last, each alone on a core at the end.
 */
const LONG = [
  'security/walk',
  'browser/journey',
  'browser/accessible-clinic',
  'browser/teach',
  'browser/offline',
  'browser/waking',
  'browser/accessible-file',
  'browser/hands',
  'browser/keeping',
  'browser/bad-input',
];

const rank = ({ path }) => {
  const place = LONG.findIndex((name) => path.includes(`tests/${name}`));
  return place === -1 ? LONG.length : place;
};
const size = ({ path }) => statSync(path).size;

/** Begins the tests that take longest first, so that all are done at about the same time. */
export default class LongestFirst {
  sort(tests) {
    return [...tests].sort((a, b) => rank(a) - rank(b) || size(b) - size(a));
  }

  allFailedTests(tests) {
    return [...tests];
  }

  /** Every so-many-th of them, so that the long ones are spread. */
  shard(tests, { shardIndex, shardCount }) {
    return this.sort(tests).filter((_, at) => at % shardCount === shardIndex - 1);
  }

  cacheResults() {
    // Times of earlier runs are not needed.
  }
}
