import asking from './asked.cjs';

/** Begins with the test files that are likeliest to notice soon. */
export default class LikeliestFirst {
  #asked = asking.asked();

  sort(tests) {
    const order = ({ path }) => this.#asked.get(path)?.order ?? Infinity;
    return [...tests].sort((a, b) => order(a) - order(b));
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
