/** PUBLIC_URL, where patients reach this clinic; else the address of the request. */
export function publicOrigin(request: { headers: Headers; url: string }): string {
  const configured = process.env.PUBLIC_URL;
  if (configured) return new URL(configured).origin;
  const host = request.headers.get('host') ?? new URL(request.url).host;
  return `http://${host}`;
}

/** Cookies are Secure when the public address is https. */
export function cookiesAreSecure(): boolean {
  return (process.env.PUBLIC_URL ?? '').startsWith('https:');
}
