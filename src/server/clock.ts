import type { Instant } from '@/core/schedule';

/** Shared by the server's several bundles. */
const KEY = Symbol.for('dry-lantern.clock');
const shared = globalThis as unknown as Record<symbol, (() => number) | undefined>;

/** The only place that reads the clock on the server; everything else is told the time. */
export function now(): Instant {
  return (shared[KEY]?.() ?? Date.now()) as Instant;
}

/** Sets another clock: for the demo's simulator and for tests. Null sets the real one again. */
export function setClock(clock: (() => number) | null): void {
  shared[KEY] = clock ?? undefined;
}
