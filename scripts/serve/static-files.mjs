import sirv from 'sirv';

const PREFIX = '/_next/static/';
const YEAR_SECONDS = 31_536_000;

/**
 * Answers for the built files of scripts and styles, whose names change with what is in them: as small as
 * they can be made, which is done once with the build (scripts/lib/squeeze.mjs) and not for every phone.
 *
 * @param folder `.next/static`
 * @returns a handler that hands on everything that is no such file
 */
export function staticFiles(folder) {
  const serve = sirv(folder, {
    brotli: true,
    extensions: [],
    immutable: true,
    maxAge: YEAR_SECONDS,
  });
  return (request, response, next) => {
    const { url } = request;
    if (!url.startsWith(PREFIX)) return next();
    request.url = url.slice(PREFIX.length - 1);
    serve(request, response, () => {
      request.url = url;
      next();
    });
  };
}
