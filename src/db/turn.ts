import { setImmediate as nextTurn } from 'node:timers/promises';
import { processWide } from './process-wide';

/** Work in one turn of the event loop before what has just arrived is looked at, in milliseconds. */
const TURN_MS = 8;

/** When the turn began; undefined where nobody asked. */
const turn = processWide<number>('turn');

function spent(): boolean {
  const began = (turn.value ??= beginTurn());
  return performance.now() - began > TURN_MS;
}

/** The first who asks in a turn says when it began; it ends when the loop comes round. */
function beginTurn(): number {
  setImmediate(() => {
    turn.value = undefined;
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
