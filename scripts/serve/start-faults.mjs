const LOOPBACK = new Set(['localhost', '127.0.0.1', '::1', '[::1]']);

/** Where the server listens: this machine alone, unless HOST says otherwise. */
export const listeningHost = ({ HOST = '' }) => (HOST === '' ? '127.0.0.1' : HOST);

/**
 * What keeps a server from starting as it was told, in a sentence; null where nothing does. Records of
 * patients do not go over a network unencrypted, unless somebody says so on purpose (ALLOW_HTTP=1).
 */
export function startFault(environment, port) {
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    return 'The port is a whole number from 1 to 65535: --port 3000.';
  const { PUBLIC_URL = '', ALLOW_HTTP } = environment;
  const open = !LOOPBACK.has(listeningHost(environment));
  if (PUBLIC_URL === '')
    return open && ALLOW_HTTP !== '1'
      ? 'HOST opens the server to the network, and there is no public address. Set PUBLIC_URL to an https address, or ALLOW_HTTP=1 for a trial without patients.'
      : null;
  let address;
  try {
    address = new URL(PUBLIC_URL);
  } catch {
    return 'PUBLIC_URL is not an address. It is written whole: https://clinic.example.';
  }
  if (address.protocol === 'https:') return null;
  if (address.protocol !== 'http:') return 'PUBLIC_URL begins with https://.';
  return LOOPBACK.has(address.hostname) || ALLOW_HTTP === '1'
    ? null
    : 'PUBLIC_URL is an http address: records and links would go over the network for everybody to read. Use https, or set ALLOW_HTTP=1 for a trial without patients.';
}

/** Why a server could not listen, in a sentence. */
export function listenFault(error, port) {
  switch (error.code) {
    case 'EADDRINUSE':
      return `Port ${port} is in use by another program. Choose another one: --port ${port === 65_535 ? 3000 : port + 1}.`;
    case 'EACCES':
      return `Port ${port} may not be used by this user. Choose one above 1023 and put a proxy before it.`;
    case 'EADDRNOTAVAIL':
    case 'ENOTFOUND':
      return 'HOST is not an address of this machine.';
    default:
      return `The server cannot listen on port ${port} (${error.code ?? 'unknown'}).`;
  }
}
