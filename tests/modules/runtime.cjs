const Runtime = require('jest-runtime').default;
const { compileOnce } = require('./compiled.cjs');
const { standsAlone, isLent } = require('./lent.cjs');

/** Where the lines of a lent module came from stands with its lender. */
class SourceMaps extends Map {
  constructor(lender) {
    super();
    this.lender = lender;
  }

  get(file) {
    return super.get(file) ?? this.lender.getSourceMaps().get(file);
  }
}

/** One for each project in a worker; it is never torn down. */
const lenders = new Map();

/**
 * Jest's runtime, but that modules without a state of their own are made once in a worker and lent to
 * every test file after that (docs/decisions/0071): a third of the time of a run was their making anew.
 */
class LendingRuntime extends Runtime {
  constructor(config, environment, ...rest) {
    super(config, environment, ...rest);
    const [testPath, globalConfig] = rest.slice(-2);
    if (standsAlone(testPath, globalConfig)) return;
    compileOnce(this.executor, () => environment.getVmContext());
    this.lender = lenders.get(config.id) ?? new Runtime(config, environment, ...rest);
    lenders.set(config.id, this.lender);
    this.transformCache.sourceMaps = new SourceMaps(this.lender);
  }

  requireModule(from, name, options, isRequireActual) {
    const ofTests = name && !options?.isInternalModule && !this._resolution.isCoreModule(name);
    if (this.lender && ofTests && isLent(this._resolution.resolveCjs(from, name)))
      return this.lender.requireModule(from, name, options, isRequireActual);
    return super.requireModule(from, name, options, isRequireActual);
  }
}

module.exports = LendingRuntime;
