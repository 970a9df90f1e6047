import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import puppeteer from 'puppeteer-core';
import { ROOT, option } from './lib/project.mjs';

/**
 * How long after its first paint the patient's first page does what a touch asks, on a slow phone
 * with a slow signal that opens it for the first time:
 * `node scripts/first-touch.mjs --url http://localhost:3000 --facts data/demo/demo.json`.
 *
 * One touch on Begin as soon as it is drawn; "works" is when what it asks for is on the screen. A
 * touch that never does is lost. The middle of so many runs is printed.
 */
const url = option('url', 'http://localhost:3000');
const facts = JSON.parse(readFileSync(option('facts', join(ROOT, 'data/demo/demo.json')), 'utf8'));
const runs = Number(option('runs', '3'));
const again = process.argv.includes('--again');
/** Slow 3G: 400 kbit/s each way and 400 ms there and back; a processor four times as slow. */
const NETWORK = {
  offline: false,
  latency: 400,
  downloadThroughput: 50_000,
  uploadThroughput: 50_000,
};
const CPU = 4;
const PATIENCE_MS = 25_000;

const browser = await puppeteer.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  headless: true,
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync'],
});

/** Opens the link on a phone of its own, forgets every file, and touches Begin at once. */
async function once() {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport({ width: 390, height: 844, isMobile: true, hasTouch: true });
  await page.goto(`${url}/open#${facts.patientToken}`, { waitUntil: 'networkidle0' });
  const session = await page.createCDPSession();
  await session.send('Network.enable');
  await session.send('Storage.clearDataForOrigin', {
    origin: new URL(url).origin,
    storageTypes: 'cache_storage,service_workers,local_storage,indexeddb',
  });
  await session.send('Network.clearBrowserCache');
  await session.send('Network.emulateNetworkConditions', NETWORK);
  await session.send('Emulation.setCPUThrottlingRate', { rate: CPU });
  let bytes = 0;
  session.on('Network.loadingFinished', ({ encodedDataLength }) => (bytes += encodedDataLength));
  await page.evaluateOnNewDocument(() => {
    window.__seen = {};
    const look = () => {
      const text = document.body?.innerText ?? '';
      if (/Begin/.test(text) && !window.__seen.begin) {
        const [paint] = performance.getEntriesByName('first-contentful-paint');
        if (paint)
          window.__seen = { ...window.__seen, paint: paint.startTime, begin: performance.now() };
      }
      if (/Before your first session|I understand|This is what comes/.test(text))
        window.__seen.works ??= performance.now();
      if (/I understand|Start/.test(text) && /stop/i.test(text))
        window.__seen.awake ??= performance.now();
      requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  });
  void page
    .goto(`${url}/today`, { waitUntil: 'domcontentloaded', timeout: 60_000 })
    .catch(() => undefined);
  await page.waitForFunction(() => window.__seen?.begin, { polling: 50, timeout: 60_000 });
  const place = await page.evaluate(() => {
    const all = [...document.querySelectorAll('a, button')];
    const box = all.find((one) => one.textContent?.trim() === 'Begin')?.getBoundingClientRect();
    return box && { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  });
  const touched = await page.evaluate(() => performance.now());
  await page.touchscreen.tap(place.x, place.y);
  const until = Date.now() + PATIENCE_MS;
  const seen = () => page.evaluate(() => window.__seen).catch(() => ({}));
  let now = await seen();
  let last = Date.now();
  while (!(now.works && now.awake) && Date.now() < until) {
    await new Promise((resolve) => setTimeout(resolve, 100));
    // People touch again what did nothing.
    if (again && !now.works && Date.now() - last > 700) {
      last = Date.now();
      await page.touchscreen.tap(place.x, place.y).catch(() => undefined);
    }
    now = await seen();
  }
  const loaded = bytes;
  await context.close();
  return { ...now, touched, kB: Math.round(loaded / 1000) };
}

const seconds = (ms) => (ms === undefined ? 'never' : `${(ms / 1000).toFixed(1)} s`);
const found = [];
for (let run = 0; run < runs; run += 1) {
  const one = await once();
  found.push(one);
  console.log(
    `first paint ${seconds(one.paint)}, touched ${seconds(one.touched - one.paint)} after it, works ${seconds(one.works && one.works - one.paint)}, session open ${seconds(one.awake && one.awake - one.paint)}, ${one.kB} kB`,
  );
}
const works = found
  .map(({ works: at, paint }) => (at ? at - paint : Infinity))
  .sort((a, b) => a - b);
const middle = works[Math.floor(works.length / 2)];
console.log(
  `middle: ${Number.isFinite(middle) ? seconds(middle) : 'lost'}; lost ${works.filter((one) => !Number.isFinite(one)).length} of ${runs}`,
);
await browser.close();
