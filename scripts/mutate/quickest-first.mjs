import { readFileSync } from 'node:fs';

/** Begins the quickest tests first, by the times of the first run: most changes are noticed by one of these. */
export default class QuickestFirst {
  #ms = new Map(
    process.env.REACHED_FILE
      ? readFileSync(process.env.REACHED_FILE, 'utf8')
          .split('\n')
          .filter(Boolean)
          .map((line) => JSON.parse(line))
          .map(({ path, ms }) => [path, ms])
      : [],
  );

  sort(tests) {
    const time = ({ path }) => this.#ms.get(path) ?? Infinity;
    return [...tests].sort((a, b) => time(a) - time(b));
  }

  allFailedTests(tests) {
    return [...tests];
  }

  shard(tests) {
    return tests;
  }

  cacheResults() {
    // Times of the first run are enough.
  }
}
