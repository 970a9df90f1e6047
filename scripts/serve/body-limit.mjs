/** The most a record may be, bytes; each handler has its own limit below it. */
const MOST_RECORD = 1024 * 1024;
/** A photo, as `PHOTO_LIMIT` promises it. */
const MOST_PHOTO = 16 * 1024 * 1024;
/** A patient's whole record with its photos, as `RECORD_FILE_LIMIT` promises it. */
const MOST_WHOLE_RECORD = 64 * 1024 * 1024;
/** What an address, its headers and the fields around a photo take beside it. */
const ROOM = 64 * 1024;

function mostAt(path) {
  if (/^\/api\/v1\/(?:(?:patient\/)?photos|papers)(?:[/?]|$)/.test(path)) return MOST_PHOTO + ROOM;
  if (/^\/api\/v1\/whole-records(?:[/?]|$)/.test(path)) return MOST_WHOLE_RECORD + ROOM;
  return MOST_RECORD + ROOM;
}

/**
 * Why a request's body is refused before its first byte is read, so that nobody fills the memory with
 * what no handler would take; null where it may come.
 *
 * @returns status and sentence
 */
export function bodyRefusal({ method = 'GET', url = '/', headers }) {
  const length = headers['content-length'];
  if (headers['transfer-encoding'] !== undefined)
    return { status: 411, say: 'This does not say how large it is. Nothing was saved.' };
  if (length === undefined) return null;
  const bytes = Number(length);
  if (!/^\d+$/.test(length) || !Number.isSafeInteger(bytes))
    return { status: 400, say: 'This does not say how large it is. Nothing was saved.' };
  if (bytes > 0 && (method === 'GET' || method === 'HEAD'))
    return { status: 400, say: 'A page is asked for without anything beside it.' };
  const most = mostAt(url);
  if (bytes <= most) return null;
  return {
    status: 413,
    say: `This is too large (at most ${Math.floor(most / 1024 / 1024)} MB). Nothing was saved.`,
  };
}

/** Answers a refused request and closes its connection, whatever is still on its way. */
export function refuse(response, { status, say }) {
  response.writeHead(status, {
    'content-type': 'application/json',
    connection: 'close',
    ...(status === 503 ? { 'retry-after': '1' } : {}),
  });
  response.end(JSON.stringify({ ok: false, say }), () => response.socket?.destroySoon());
}
