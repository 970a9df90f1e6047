const { TestEnvironment } = require('jest-environment-node');
const { ModuleMocker } = require('jest-mock');
const { endAsyncStorages } = require('./async-storages.cjs');
const { standsAlone } = require('./lent.cjs');

/** One for each project in a worker. */
const kept = new Map();

const everything = (object) =>
  new Map(
    Reflect.ownKeys(object).map((key) => [key, Object.getOwnPropertyDescriptor(object, key)]),
  );

/** Takes away what came to an object since, and puts back what it was. */
function putBack(object, was) {
  for (const [key, is] of everything(object)) {
    const before = was.get(key);
    if (!before) Reflect.deleteProperty(object, key);
    else if ('value' in before && before.value !== is.value)
      Reflect.defineProperty(object, key, before);
  }
  for (const [key, before] of was)
    if (!Object.hasOwn(object, key)) Reflect.defineProperty(object, key, before);
}

/**
 * Jest's environment, but that the test files of a worker have one after the other the same globals, as
 * they were before the first of them: lent modules (runtime.cjs) live in them.
 */
class KeptEnvironment extends TestEnvironment {
  constructor(config, context) {
    const { id } = config.projectConfig;
    const alone = standsAlone(context.testPath, config.globalConfig);
    const known = alone ? undefined : kept.get(id);
    if (known) {
      known.moduleMocker = new ModuleMocker(known.global);
      return known;
    }
    super(config, context);
    if (alone) return;
    this.globals = everything(this.global);
    this.variables = everything(this.global.process.env);
    kept.set(id, this);
  }

  async teardown() {
    endAsyncStorages();
    if (!this.globals) return super.teardown();
    this.fakeTimers.dispose();
    this.fakeTimersModern.dispose();
    putBack(this.global, this.globals);
    putBack(this.global.process.env, this.variables);
    // What the base class would clear away after every file: it is still in use.
    this._globalProxy.leftovers = [];
    this._globalProxy.propertyToValue.clear();
  }
}

module.exports = KeptEnvironment;
