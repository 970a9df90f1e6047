import { type LookupAddress, lookup } from 'node:dns';
import type { LookupFunction } from 'node:net';
import { isPublicAddress } from './endpoint';

/** How a name is resolved to all of its addresses; `lookup` of `node:dns`, or a test's. */
type ResolveAll = (
  hostname: string,
  options: object,
  callback: (error: NodeJS.ErrnoException | null, addresses?: readonly LookupAddress[]) => void,
) => void;

const resolveAll: ResolveAll = (hostname, options, callback) =>
  lookup(hostname, { ...options, all: true }, callback);

/**
 * Leads only to the open network: a name of which one address leads to the house itself, or that has
 * none, is not called.
 */
export function guardedLookup(resolve: ResolveAll = resolveAll): LookupFunction {
  return (hostname, options, callback) => {
    resolve(hostname, options, (error, addresses = []) => {
      const [first] = addresses;
      if (error || !first || !addresses.every(({ address }) => isPublicAddress(address)))
        return callback(error ?? new Error('not on the open network'), '', 0);
      // Node asks for all of them where it tries one after the other.
      if (options.all) return callback(null, [...addresses]);
      return callback(null, first.address, first.family);
    });
  };
}
