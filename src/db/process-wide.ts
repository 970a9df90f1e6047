/**
 * A place that the whole process shares, by its name: the framework bundles a module more than once, and
 * each copy would have a place of its own. What stands around the framework (scripts/serve) finds it by
 * the same name.
 *
 * @example
 * const clock = processWide<() => number>('clock');
 * clock.value = () => 0; // for every copy of the module
 */
export function processWide<T>(name: string): { value: T | undefined } {
  const key = Symbol.for(`dry-lantern.${name}`);
  const places = globalThis as unknown as Record<symbol, T | undefined>;
  return {
    get value() {
      return places[key];
    },
    set value(made) {
      places[key] = made;
    },
  };
}
