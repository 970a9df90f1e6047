import { wake } from './wake.mjs';

/**
 * A page whose scripts begin late: the same document, its script files named but not yet loaded, and
 * `wake` at its end to begin them. Inline scripts stay as they are: they only lay out data.
 *
 * @param {string} html a whole document as the framework sends it, with one nonce for its scripts
 * @returns {string} the document unchanged when it has no nonce or no end
 * @example lateScripts('…<script src="/a.js" async=""></script>…') // '…<script type="text/late" data-late="/a.js"></script>…'
 */
export function lateScripts(html) {
  const nonce = /<script[^>]* nonce="([^"]+)"/.exec(html)?.[1];
  const end = html.lastIndexOf('</body>');
  if (!nonce || end === -1) return html;
  const withEnd = `${html.slice(0, end)}<script nonce="${nonce}">(${wake.toString()})()</script>${html.slice(end)}`;
  return withEnd
    .replace(/<link rel="preload" as="script"[^>]*>/g, '')
    .replace(/<script src="([^"]+)"([^>]*)>/g, (whole, address, rest) =>
      /nomodule/i.test(rest) ? whole : `<script type="text/late" data-late="${address}"${rest}>`,
    );
}
