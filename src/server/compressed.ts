import { gzip } from 'node:zlib';
import { promisify } from 'node:util';

const packed = promisify(gzip);

/** JSON that is not to be stored, gzipped where the asker can read it: route handlers are sent as they are. */
export async function compressedJson(request: Request, value: unknown): Promise<Response> {
  const text = JSON.stringify(value);
  const headers = { 'Content-Type': 'application/json', 'Cache-Control': 'no-store' };
  if (!/\bgzip\b/.test(request.headers.get('accept-encoding') ?? ''))
    return new Response(text, { headers });
  return new Response(new Uint8Array(await packed(text)), {
    headers: { ...headers, 'Content-Encoding': 'gzip', Vary: 'Accept-Encoding' },
  });
}
