/** Connections of one address: a practice behind one router, each browser with six. */
const MOST_OF_ONE = 300;

/**
 * Bounds how many connections one address holds, so that one machine cannot take them all. Behind a
 * proxy every connection is the proxy's, and bounding is the proxy's work.
 */
export function boundConnections(server, { behindProxy, most = MOST_OF_ONE }) {
  if (behindProxy) return;
  const open = new Map();
  server.on('connection', (socket) => {
    const from = socket.remoteAddress ?? 'unknown';
    const count = (open.get(from) ?? 0) + 1;
    if (count > most) {
      socket.destroy();
      return;
    }
    open.set(from, count);
    socket.once('close', () => {
      const left = (open.get(from) ?? 1) - 1;
      if (left === 0) open.delete(from);
      else open.set(from, left);
    });
  });
}

/** How long a connection may take for what, milliseconds. */
export const TIMES_MS = {
  /** The head of a request. */
  headers: 20_000,
  /** A whole request: 16 MB within it take 1.1 Mbit/s; the phone makes its photos small before. */
  request: 120_000,
  /** Nothing sent either way: longer than the longest answer is made for. */
  idle: 90_000,
  /** Between two requests of one connection. */
  keepAlive: 10_000,
  /** Running requests are finished within it when the server is told to end. */
  ending: 10_000,
};

/** Answers to what is no whole request. */
const ANSWERS = {
  ERR_HTTP_REQUEST_TIMEOUT: '408 Request Timeout',
  HPE_HEADER_OVERFLOW: '431 Request Header Fields Too Large',
};

/** Sets the limits of time on a server, and answers what is no request. */
export function boundTimes(server) {
  server.headersTimeout = TIMES_MS.headers;
  server.requestTimeout = TIMES_MS.request;
  server.keepAliveTimeout = TIMES_MS.keepAlive;
  server.setTimeout(TIMES_MS.idle);
  server.maxHeadersCount = 100;
  server.on('clientError', (error, socket) => {
    if (error.code === 'ECONNRESET' || !socket.writable) return socket.destroy();
    socket.end(
      `HTTP/1.1 ${ANSWERS[error.code] ?? '400 Bad Request'}\r\nConnection: close\r\nContent-Length: 0\r\n\r\n`,
    );
  });
}
