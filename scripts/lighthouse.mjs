import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import puppeteer from 'puppeteer-core';
import { ROOT, option, run } from './lib/project.mjs';

/**
 * Looks at a running demo as Lighthouse does: the patient's page with a phone's profile, the desk's with a
 * desktop's. Prints the scores, and the scripts of the phone's first load:
 * `node scripts/lighthouse.mjs --url http://localhost:3000 --facts data/demo/demo.json`.
 */
/** Lighthouse and its 120 packages are fetched when somebody looks: no test and no page needs them. */
const tools = join(ROOT, 'data', 'tools');
const main = join(tools, 'node_modules', 'lighthouse', 'core', 'index.js');
if (!existsSync(main)) {
  mkdirSync(tools, { recursive: true });
  const wanted = ['lighthouse@12.8.2', 'third-party-web@0.27.0'];
  run('npm', ['install', '--prefix', tools, '--no-audit', '--no-fund', ...wanted]);
}
const { default: lighthouse } = await import(main);
const { default: desktop } = await import(
  join(tools, 'node_modules', 'lighthouse', 'core', 'config', 'desktop-config.js')
);

const url = option('url', 'http://localhost:3000');
const facts = JSON.parse(readFileSync(option('facts', join(ROOT, 'data/demo/demo.json')), 'utf8'));
const browser = await puppeteer.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  headless: true,
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync'],
});
const page = await browser.newPage();
let first = 0;
const count = async (response) => {
  if (!/\/_next\/static\/.*\.js$/.test(new URL(response.url()).pathname)) return;
  // Old browsers' polyfills are not loaded by any that reads modules.
  if (new RegExp(`${new URL(response.url()).pathname}"[^>]*noModule`, 'i').test(html)) return;
  first += gzipSync(await response.buffer()).length;
};
let html = '';
await page.goto(`${url}/open#${facts.patientToken}`, { waitUntil: 'networkidle0' });
html = await (await page.goto(`${url}/today`, { waitUntil: 'networkidle0' })).text();
// What the page itself names; what it loads later, when it is idle, is no first load.
for (const path of new Set(html.match(/\/_next\/static\/[^"\\]+\.js/g) ?? []))
  await count({
    url: () => url + path,
    buffer: async () => Buffer.from(await (await fetch(url + path)).arrayBuffer()),
  });
const CATEGORIES = ['performance', 'accessibility', 'best-practices'];
const RUNS = Number(option('runs', '5'));

/** One look at a page: a phone's, or the desk's. */
async function look({ path, who, on }) {
  const { lhr } = await lighthouse(
    `${url}${path}`,
    { output: 'json', logLevel: 'error', disableStorageReset: true, onlyCategories: CATEGORIES },
    who === 'desk' ? desktop : undefined,
    on,
  );
  if (!lhr.runtimeError) return lhr;
  // Now and then the recording itself fails; that says nothing about the page.
  console.log(`  looked again: ${lhr.runtimeError.code}`);
  return look({ path, who, on });
}

/** One machine's run says little: the middle of some, after a first one that only warms up. */
async function middleOf(view) {
  await look(view);
  const runs = [];
  for (let run = 0; run < RUNS; run += 1) runs.push(await look(view));
  console.log(`\n${view.name}`);
  const middle = (values) => [...values].sort((x, y) => x - y)[Math.floor(values.length / 2)];
  for (const id of CATEGORIES) {
    const scores = runs.map(({ categories }) => Math.round(categories[id].score * 100));
    console.log(`${id}: ${middle(scores)} (runs ${scores.join(', ')})`);
  }
  const moves = runs.map(({ audits }) => audits['cumulative-layout-shift'].numericValue ?? 0);
  console.log(`layout shift: ${middle(moves).toFixed(3)}`);
  for (const audit of Object.values(runs[1].audits))
    if (audit.score !== null && audit.score < 0.9)
      console.log(`  ${audit.id}: ${audit.displayValue ?? audit.score}`);
}

await middleOf({ name: 'Today, on a phone', path: '/today', who: 'phone', on: page });
console.log(`first-load script: ${(first / 1000).toFixed(1)} kB gzipped`);
console.log(
  `page: ${(gzipSync(html).length / 1000).toFixed(1)} kB gzipped, ${(html.length / 1000).toFixed(0)} kB`,
);

const desk = await (await browser.createBrowserContext()).newPage();
await desk.goto(`${url}/sign-in`, { waitUntil: 'networkidle0' });
await desk.type('input[name=email]', facts.signIns[0].email);
await desk.type('input[name=password]', facts.signIns[0].password);
await Promise.all([
  desk.waitForNavigation({ waitUntil: 'networkidle0' }),
  desk.keyboard.press('Enter'),
]);
const file = await desk.$eval('.morning-row a[href^="/patients/"]', (link) =>
  link.getAttribute('href'),
);
for (const [name, path] of [
  ['Morning list', '/'],
  ['Plan', `${file}/plan`],
  ['Follow', `${file}/follow`],
])
  await middleOf({ name, path, who: 'desk', on: desk });
await browser.close();
