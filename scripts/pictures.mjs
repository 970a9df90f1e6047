import { mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import puppeteer from 'puppeteer-core';
import { ROOT, option } from './lib/project.mjs';

/**
 * Takes the pictures of docs/screenshots from a running demo:
 * `node scripts/pictures.mjs --url http://localhost:3000 --facts data/demo/demo.json`.
 */
const url = option('url', 'http://localhost:3000');
const facts = JSON.parse(readFileSync(option('facts', join(ROOT, 'data/demo/demo.json')), 'utf8'));
const folder = option('to', join(ROOT, 'docs/screenshots'));
mkdirSync(folder, { recursive: true });

const browser = await puppeteer.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  headless: true,
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync'],
});
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

async function open(width, height, scheme = 'light') {
  const page = await (await browser.createBrowserContext()).newPage();
  await page.setViewport({ width, height });
  await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: scheme }]);
  return page;
}
const go = (page, path) => page.goto(`${url}${path}`, { waitUntil: 'networkidle0' });
const shot = (page, name) => page.screenshot({ path: join(folder, `${name}.png`) });
const press = async (page, words) => {
  const found = await page.waitForSelector(
    `::-p-xpath(//button[starts-with(normalize-space(.), "${words}")])`,
  );
  await found.click();
};

async function signIn(page) {
  const [lead] = facts.signIns;
  await go(page, '/sign-in');
  await page.type('input[name=email]', lead.email);
  await page.type('input[name=password]', lead.password);
  await Promise.all([
    page.waitForNavigation({ waitUntil: 'networkidle0' }),
    page.keyboard.press('Enter'),
  ]);
}

const fileOf = (page, name) =>
  page.$$eval(
    'a[href$="/follow"]',
    (links, wanted) => links.find((link) => link.textContent.includes(wanted)).getAttribute('href'),
    name,
  );

const desk = await open(1280, 800);
await go(desk, '/sign-in');
await shot(desk, 'sign-in');
await signIn(desk);
await shot(desk, 'morning');
const follow = await fileOf(desk, 'Bodo');
await go(desk, follow);
await shot(desk, 'follow');
const plan = follow.replace('follow', 'plan');
await go(desk, plan);
await shot(desk, 'plan');
const dose = await desk.$('input[aria-label="Dose of Wall press into a pad"]');
await dose.click();
await desk.keyboard.type('3x30s gap 60 rpe 3-5');
await desk.focus('input[placeholder^="Add an exercise"]');
await desk.keyboard.type('nerve');
await wait(300);
await shot(desk, 'plan-mistake');
await desk.evaluate(() => sessionStorage.clear());
await go(desk, await (async () => (await go(desk, '/'), fileOf(desk, 'Nessa')))());
await press(desk, 'Patient’s link');
await press(desk, 'Make');
await desk.waitForSelector('[data-testid=patient-link]');
await wait(300);
await shot(desk, 'link');
await go(desk, '/clinic');
await shot(desk, 'clinic');

const dark = await open(1280, 800, 'dark');
await signIn(dark);
await go(dark, await fileOf(dark, 'Ilse'));
await shot(dark, 'follow-dark');

const phone = await open(390, 844);
await go(phone, `/open#${facts.patientToken}`);
await phone.waitForFunction(() => document.body.innerText.includes('Everything you did'));
await shot(phone, 'today');
await phone.evaluate(() =>
  [...document.querySelectorAll('button')]
    .find((b) => /^(Begin|Do it again)/.test(b.textContent))
    .click(),
);
await press(phone, 'I understand');
await press(phone, 'Start');
await wait(6000);
await shot(phone, 'player');
await press(phone, 'Stop');
await wait(300);
await shot(phone, 'stop');
await press(phone, 'It is enough');
await phone.waitForSelector('input[name=pain]');
await phone.click('input[name=pain][value="2"]');
await wait(200);
await shot(phone, 'check-in');
await browser.close();
