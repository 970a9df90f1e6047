import type { HTTPRequest, Page } from 'puppeteer-core';
import { goTo } from './browser';

/**
 * Lets no script come to a page that the HTML of this address does not name, until they are let through.
 *
 * @param next where the page goes to from there: what its HTML names comes too
 * @param meanwhile whether one that is asked for before is refused, or waits
 */
export async function withoutParts(
  page: Page,
  address: string,
  cookie: string,
  meanwhile: 'refused' | 'waiting' = 'refused',
  next: readonly string[] = [],
) {
  // Asked for by another: nothing may lie in this browser's cache.
  const html = await Promise.all(
    [address, ...next].map(async (one) => (await fetch(one, { headers: { cookie } })).text()),
  );
  const named = new Set([...html.join().matchAll(/src="([^"]+\.js)"/g)].map(([, src]) => src));
  let isCut = true;
  const waiting: HTTPRequest[] = [];
  const refuse = (request: HTTPRequest) => {
    const { pathname } = new URL(request.url());
    const isPart = pathname.endsWith('.js') && !named.has(pathname);
    if (!isCut || !isPart) void request.continue();
    else if (meanwhile === 'refused') void request.abort();
    else waiting.push(request);
  };
  await page.setRequestInterception(true);
  page.on('request', refuse);
  await goTo(page, address);
  return () => {
    isCut = false;
    for (const request of waiting.splice(0)) void request.continue();
  };
}
