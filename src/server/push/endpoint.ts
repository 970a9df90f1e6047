import { BlockList, isIP } from 'node:net';

/**
 * Addresses that no phone's maker has: the own machine, a house's own network, and what is reserved
 * (RFC 1918, 4193, 4291, 6598, 6890). A phone says itself where its notices are taken, so that without
 * this anybody with a link could have the server call its neighbours.
 */
const PRIVATE = new BlockList();
for (const [network, prefix] of [
  ['0.0.0.0', 8],
  ['10.0.0.0', 8],
  ['100.64.0.0', 10],
  ['127.0.0.0', 8],
  ['169.254.0.0', 16],
  ['172.16.0.0', 12],
  ['192.0.0.0', 24],
  ['192.0.2.0', 24],
  ['192.168.0.0', 16],
  ['198.18.0.0', 15],
  ['198.51.100.0', 24],
  ['203.0.113.0', 24],
  ['224.0.0.0', 4],
  ['240.0.0.0', 4],
] as const)
  PRIVATE.addSubnet(network, prefix, 'ipv4');
for (const [network, prefix] of [
  ['::', 127],
  ['64:ff9b::', 96],
  ['100::', 64],
  ['2001:db8::', 32],
  ['fc00::', 7],
  ['fe80::', 10],
  ['ff00::', 8],
] as const)
  PRIVATE.addSubnet(network, prefix, 'ipv6');

/** Whether an address stands on the open network; false for what is no address. */
export function isPublicAddress(address: string): boolean {
  const mapped = /^::ffff:(\d+\.\d+\.\d+\.\d+)$/i.exec(address)?.[1];
  if (mapped !== undefined) return isPublicAddress(mapped);
  const family = isIP(address);
  if (family === 0) return false;
  return !PRIVATE.check(address, family === 6 ? 'ipv6' : 'ipv4');
}

/** The stand-in for a phone's maker, of tests and trials alone: the one origin that needs no TLS. */
const standIn = (): string => process.env.PUSH_STAND_IN ?? '';

export const isStandIn = (url: URL): boolean => url.origin === standIn();

/**
 * Whether notices may be sent there: by TLS, to a name on the open network. What the name leads to is
 * looked at again when it is called.
 *
 * @example mayBeCalled('https://127.0.0.1/x') // false
 */
export function mayBeCalled(endpoint: string): boolean {
  let url: URL;
  try {
    url = new URL(endpoint);
  } catch {
    return false;
  }
  if (isStandIn(url)) return true;
  const { protocol, hostname, port, username, password } = url;
  if (protocol !== 'https:' || port !== '' || username !== '' || password !== '') return false;
  // An address of numbers is nobody's service, and [::1] is one.
  if (isIP(hostname.replace(/^\[|\]$/g, '')) !== 0) return false;
  return hostname.includes('.') && !/\.(?:local|localhost|internal|home\.arpa)$/.test(hostname);
}
