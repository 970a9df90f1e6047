import type { AsyncLocalStorage } from 'node:async_hooks';
import pino from 'pino';
import { processWide } from '@/db/process-wide';

/** The id of the request that is answered, as the server gave it out (scripts/serve/log.mjs). */
const request = processWide<AsyncLocalStorage<string>>('request');

/** Lines of JSON with the time, on the error stream: never words, numbers or names of a record. */
const log = pino(
  { base: undefined, timestamp: pino.stdTimeFunctions.isoTime },
  pino.destination({ dest: 2, sync: true }),
);

/** What may stand in a line beside its time: kinds, codes and places of the code. */
export type LogFacts = Readonly<Record<string, string | number | undefined>>;

/** Writes one line about something that failed. */
export function logError(facts: LogFacts): void {
  log.error({ request: request.value?.getStore(), ...facts });
}
