const { readFileSync } = require('node:fs');

/**
 * What is asked of a change: for each test file when it is its turn, and which of its tests pass the change;
 * null where all of them are asked. A file that is not named is asked as a whole, and last.
 *
 * @returns {ReadonlyMap<string, { readonly order: number, readonly names: readonly string[] | null }>}
 */
function asked() {
  const file = process.env.ASKED_FILE;
  return new Map(file ? Object.entries(JSON.parse(readFileSync(file, 'utf8'))) : []);
}

module.exports = { asked };
