/** The compiled text of every module, by the context it was compiled for. */
const kept = new WeakMap();

/**
 * Makes an executor compile a module's text once for a context: the next test file in it runs the same
 * function again, with a module object of its own, and what the engine has learnt of it stays.
 *
 * @param executor Jest's, which runs what is required
 * @param contextNow the context it compiles for, null once the environment is gone
 */
exports.compileOnce = (executor, contextNow) => {
  const compile = executor.compile.bind(executor);
  executor.compile = (text, filename) => {
    const context = contextNow();
    if (context === null) return compile(text, filename);
    const known = kept.get(context) ?? new Map();
    kept.set(context, known);
    const before = known.get(filename);
    if (before?.text === text) return before.compiled;
    const compiled = compile(text, filename);
    known.set(filename, { text, compiled });
    return compiled;
  };
};
