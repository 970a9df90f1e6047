/** PUBLIC_URL, where patients reach this clinic; else the address of the request. */
export function publicOrigin(request: { headers: Headers; url: string }): string {
  return originOf(request.headers, new URL(request.url).host);
}

/** As `publicOrigin`, where only the headers are at hand: a page. */
export function originOf(headers: { get: (name: string) => string | null }, host = ''): string {
  const configured = process.env.PUBLIC_URL;
  return configured ? new URL(configured).origin : `http://${headers.get('host') ?? host}`;
}

/** Cookies are Secure when the public address is https. */
export function cookiesAreSecure(): boolean {
  return (process.env.PUBLIC_URL ?? '').startsWith('https:');
}

/** What the server writes into every request, in the place of whatever a browser sent. */
const CLIENT_ADDRESS = 'x-client-address';

/** The browser's address as the server sees it (scripts/serve); one for all where it does not say. */
export function addressOf(request: { headers: { get: (name: string) => string | null } }): string {
  return request.headers.get(CLIENT_ADDRESS) ?? 'unknown';
}
