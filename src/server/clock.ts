import type { Instant } from '@/core/schedule';
import { processWide } from '@/db/process-wide';

const set = processWide<() => number>('clock');

/** The only place that reads the clock on the server; everything else is told the time. */
export function now(): Instant {
  return (set.value?.() ?? Date.now()) as Instant;
}

/** Sets another clock: for the demo's simulator and for tests. Null sets the real one again. */
export function setClock(clock: (() => number) | null): void {
  set.value = clock ?? undefined;
}
