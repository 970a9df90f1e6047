const { AsyncLocalStorage } = require('node:async_hooks');

/** What was used since the last end of a file. */
const used = new Set();

for (const name of ['run', 'enterWith']) {
  const before = AsyncLocalStorage.prototype[name];
  AsyncLocalStorage.prototype[name] = function noted(...args) {
    used.add(this);
    return before.apply(this, args);
  };
}

/**
 * Ends what the storages of a test file keep. Jest makes one for each file and never ends it, and every
 * promise of every later file in the process is then given a place for each of them. One that is used
 * again begins anew.
 */
exports.endAsyncStorages = () => {
  for (const storage of used) storage.disable();
  used.clear();
};
