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
    'main a[href^="/patients/"]',
    (links, wanted) => links.find((link) => link.textContent.includes(wanted)).getAttribute('href'),
    name,
  );

const desk = await open(1280, 800);
await signIn(desk);
await shot(desk, 'morning');
const file = async (name) => {
  await go(desk, '/');
  return `${await fileOf(desk, name)}/`;
};
const ansel = await file('Ansel');
await go(desk, `${ansel}follow`);
await shot(desk, 'proposals');
await desk.$eval('[aria-labelledby=strips-name]', (part) => part.scrollIntoView());
await desk.$eval('svg[aria-roledescription=strips]', (svg) => svg.focus());
await desk.keyboard.press('Home');
for (let week = 0; week < 5; week += 1) await desk.keyboard.press('PageDown');
await shot(desk, 'follow');
await go(desk, `${ansel}review`);
await shot(desk, 'review');
await go(desk, `${ansel}plan`);
await shot(desk, 'plan');
await go(desk, `${ansel}stairs`);
await shot(desk, 'stairs');
await go(desk, `${ansel}teach`);
for (let step = 0; step < 3; step += 1) await desk.keyboard.press('ArrowRight');
await desk.$$eval('nav[aria-label=Exercises] button', (buttons) => buttons[1].click());
for (let step = 0; step < 5; step += 1) await desk.keyboard.press('ArrowRight');
await wait(1500);
await desk.evaluate(() => window.scrollTo(0, 0));
await shot(desk, 'run-sheet');
await go(desk, `${ansel}handout`);
await desk.evaluate(() => document.querySelector('.handout').scrollIntoView());
await shot(desk, 'handout');
await go(desk, '/exercises/programmes');
await desk.evaluate(() => document.getElementById('four-long-holds').scrollIntoView());
await wait(600);
await shot(desk, 'programmes');
await go(desk, '/exercises');
await wait(600);
await shot(desk, 'exercises');
await Promise.all([
  desk.waitForNavigation({ waitUntil: 'networkidle0' }),
  desk.click('a[aria-label="Edit Oar pull with a towel"]'),
]);
await press(desk, '2. Towel drawn');
await desk.$eval('#drawing', (title) => title.scrollIntoView());
await wait(300);
await shot(desk, 'studio');
await go(desk, `${await file('Ylva')}screen`);
await shot(desk, 'screen');
const measure = `${ansel}measure`;
await go(desk, measure);
await shot(desk, 'measure');
await go(desk, `${measure}/photos`);
const photos = await desk.$$eval('main a[href*="/photos/"]', (links) =>
  links.map((link) => link.getAttribute('href')),
);
await go(desk, `${photos.find((path) => !path.includes('compare'))}/mark`);
const stage = await (await desk.$('[data-testid=stage]')).boundingBox();
for (const [x, y] of [
  [0.5666, 0.3049],
  [0.4676, 0.4681],
]) {
  await desk.mouse.click(stage.x + stage.width * x, stage.y + stage.height * y);
  await wait(200);
}
await shot(desk, 'marking');

const phone = await open(390, 844);
await go(phone, `/open#${facts.patientToken}`);
await phone.waitForFunction(() => document.body.innerText.includes('Everything you did'));
await shot(phone, 'today');
await go(phone, '/today/progress');
await phone.$$eval('main section', (all) => all.at(-1).scrollIntoView({ block: 'end' }));
await wait(300);
await shot(phone, 'progress');
await go(phone, '/today');
await phone.waitForFunction(() => document.body.innerText.includes('Everything you did'));
await phone.evaluate(() =>
  [...document.querySelectorAll('a, button')]
    .find((b) => /^(Begin|Do it again)/.test(b.textContent))
    .click(),
);
await press(phone, 'I understand');
await press(phone, 'Start');
await wait(6000);
await shot(phone, 'player');
await press(phone, 'It hurts');
await press(phone, 'Numb or tingling');
await phone.click('input[name=severity][value="6"]');
await phone.$$eval('input[name=compared]', (inputs) => inputs[2].click());
await press(phone, 'Next');
await wait(500);
await shot(phone, 'stop');
await press(phone, 'Say how it was');
await phone.waitForSelector('input[name=pain]');
await phone.click('input[name=pain][value="2"]');
await wait(200);
await shot(phone, 'check-in');
await browser.close();
