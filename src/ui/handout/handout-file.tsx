import type { Handout } from '@/core/handout';
import { HANDOUT_CSS } from './handout-css';
import { HandoutSheet } from './handout-sheet';

/** The handout as one HTML file that needs nothing else: for sending by hand. */
export async function handoutFile(handout: Handout, large: boolean): Promise<string> {
  // The server's renderer may not be imported at the top of what a page can reach.
  const { renderToStaticMarkup } = await import('react-dom/server');
  const body = renderToStaticMarkup(<HandoutSheet handout={handout} large={large} />);
  return (
    `<!doctype html><html lang="${handout.language}" dir="${handout.way}"><head><meta charset="utf-8">` +
    '<meta name="viewport" content="width=device-width, initial-scale=1">' +
    '<meta name="referrer" content="no-referrer">' +
    `<title>${handout.words.file}</title><style>${HANDOUT_CSS}</style></head><body>${body}</body></html>`
  );
}
