import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import puppeteer from 'puppeteer-core';
import { ROOT, option, run } from './lib/project.mjs';

/**
 * Looks at the patient's page of a running demo as Lighthouse does, with a phone's profile, and prints
 * the scores and the scripts of its first load:
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
/** One machine's run says little: the middle of three, after a first one that only warms up. */
async function look() {
  const { lhr } = await lighthouse(
    `${url}/today`,
    {
      output: 'json',
      logLevel: 'error',
      disableStorageReset: true,
      formFactor: 'mobile',
      onlyCategories: ['performance', 'accessibility', 'best-practices'],
    },
    undefined,
    page,
  );
  if (!lhr.runtimeError) return lhr;
  // Now and then the recording itself fails; that says nothing about the page.
  console.log(`  looked again: ${lhr.runtimeError.code}`);
  return look();
}
await look();
const runs = [await look(), await look(), await look()];
for (const id of ['performance', 'accessibility', 'best-practices']) {
  const scores = runs.map(({ categories }) => Math.round(categories[id].score * 100));
  console.log(`${id}: ${[...scores].sort((x, y) => x - y)[1]} (runs ${scores.join(', ')})`);
}
for (const audit of Object.values(runs[1].audits))
  if (audit.score !== null && audit.score < 0.9)
    console.log(`  ${audit.id}: ${audit.displayValue ?? audit.score}`);
console.log(`first-load script: ${(first / 1000).toFixed(1)} kB gzipped`);
console.log(
  `page: ${(gzipSync(html).length / 1000).toFixed(1)} kB gzipped, ${(html.length / 1000).toFixed(0)} kB`,
);
await browser.close();
