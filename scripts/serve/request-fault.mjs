/**
 * Whether a request names no page of ours at all: what is not a path cannot be handed on, since whoever
 * reads it further on throws.
 *
 * @example isNoPath('//') // true
 */
export function isNoPath(url) {
  if (!url.startsWith('/') || url.startsWith('//') || url.includes('\\')) return true;
  if (/[\u0000-\u0020\u007f]/.test(url)) return true;
  try {
    const { pathname } = new URL(url, 'http://localhost');
    return decodeURIComponent(pathname).includes('\u0000');
  } catch {
    return true;
  }
}
