import { setImmediate as nextTurn } from 'node:timers/promises';

/** Work in one turn of the event loop before what has just arrived is looked at, in milliseconds. */
const TURN_MS = 8;

/** The server bundles this module more than once; they share the turn: when it began, null where nobody asked. */
const KEY = Symbol.for('dry-lantern.turn');
const shared = globalThis as unknown as Record<symbol, number | null | undefined>;

function spent(): boolean {
  const began = (shared[KEY] ??= beginTurn());
  return performance.now() - began > TURN_MS;
}

/** The first who asks in a turn says when it began; it ends when the loop comes round. */
function beginTurn(): number {
  setImmediate(() => {
    shared[KEY] = null;
  });
  return performance.now();
}

/**
 * Waits until there is room in a turn of the event loop. The database's client answers synchronously, so
 * a row of `await`s is one turn for everybody: meanwhile nothing is read from any connection, and only
 * one new connection is accepted a turn. Whoever begins a piece of work asks first; in the order of
 * asking, as many go on as fit into a turn.
 */
export async function roomInTurn(): Promise<void> {
  while (spent()) await nextTurn();
}
