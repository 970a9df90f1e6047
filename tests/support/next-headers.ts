/** Stands in for the framework's own in tests that call handlers and readers without a server. */
const request = { cookies: new Map<string, string>(), headers: new Headers() };

/** What the next calls come with: cookies as a browser sends them, and other headers. */
export function comesWith(cookie: string, headers: Readonly<Record<string, string>> = {}): void {
  request.cookies = new Map(
    cookie
      .split('; ')
      .filter((pair) => pair !== '')
      .map((pair) => [pair.slice(0, pair.indexOf('=')), pair.slice(pair.indexOf('=') + 1)]),
  );
  request.headers = new Headers(headers);
}

export async function cookies() {
  return {
    get: (name: string) => {
      const value = request.cookies.get(name);
      return value === undefined ? undefined : { name, value };
    },
  };
}

export async function headers() {
  return request.headers;
}
