import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { ROOT, ensureBuild, ensurePackages, run, startServer } from './lib/project.mjs';
import { takenAway } from './lib/taken-away.mjs';

/** Measures and prints, asserting nothing: `npm run bench`. */
const PORT = 3917;
const ROUNDS = 15;
const data = join(ROOT, 'data', 'bench');
const facts = join(data, 'bench.json');
const rows = [];

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
const row = (what, value, beside = '', ratio = '') => rows.push({ what, value, beside, ratio });

ensurePackages();
ensureBuild();
const taken = takenAway();
mkdirSync(data, { recursive: true });
const environment = { DATA_DIR: data, PUBLIC_URL: `http://localhost:${PORT}` };
const tsx = (script, ...args) =>
  run(process.execPath, ['--import', 'tsx', script, ...args], {
    env: { ...process.env, ...environment },
  });
if (!existsSync(facts)) {
  console.log('Writing 5,000 patients with their records …');
  tsx('scripts/bench/records.ts', facts);
}
const coreFile = join(data, 'core.json');
tsx('scripts/bench/core.ts', coreFile, JSON.parse(readFileSync(facts, 'utf8')).year);
const core = JSON.parse(readFileSync(coreFile, 'utf8'));
row('parse one dose line', `${core.parse.toFixed(1)} µs`);
row('timeline and sum of one line', `${core.timeline.toFixed(1)} µs`, `${core.segments} segments`);
row(
  'a line’s days over 90 days',
  `${core.calendar.toFixed(0)} µs`,
  `${core.recurrence.toFixed(0)} µs the recurrence library`,
  (core.calendar / core.recurrence).toFixed(2),
);

const { email, password, patientToken } = JSON.parse(readFileSync(facts, 'utf8'));
const server = await startServer({
  port: PORT,
  environment,
  stdio: ['ignore', 'ignore', 'inherit'],
});
const origin = `http://localhost:${PORT}`;
const post = (path, body) =>
  fetch(`${origin}${path}`, {
    method: 'POST',
    headers: { origin, 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
try {
  const cookie = (await post('/api/v1/sign-in', { email, password })).headers
    .get('set-cookie')
    .split(';')[0];
  const times = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    const began = performance.now();
    const response = await fetch(`${origin}/`, { headers: { cookie } });
    await response.text();
    if (response.status !== 200) throw new Error(`the morning list answered ${response.status}`);
    times.push(performance.now() - began);
  }
  const page = median(times.slice(3));
  row(
    'morning list, 5,000 patients: the whole page',
    `${page.toFixed(0)} ms`,
    `${core.sql.toFixed(1)} ms bare SQL`,
    (page / core.sql).toFixed(1),
  );
  row(
    'its rows without the page',
    `${core.list.toFixed(1)} ms`,
    `${core.sql.toFixed(1)} ms bare SQL`,
    (core.list / core.sql).toFixed(1),
  );

  row('all 5,000 rows reckoned anew, once a day', `${(core.firstLook / 1000).toFixed(1)} s`);
  row('a row after one event of its patient', `${core.byEvent.toFixed(2)} ms`);
  row(
    `all proposals of 1,000 patients (${core.proposals})`,
    `${(core.evaluate / 1000).toFixed(2)} s`,
    `${(core.evaluatePlain / 1000).toFixed(2)} s reading and parsing their rows one by one`,
    (core.evaluate / core.evaluatePlain).toFixed(1),
  );
  for (const [name, plain] of [
    ['beside the same rows over our own client', core.evaluateKept],
    ['beside its own statements, which put lines and days together', core.evaluateOwn],
    ['beside the days alone', core.evaluateDays],
  ])
    row(name, '', `${(plain / 1000).toFixed(2)} s`, (core.evaluate / plain).toFixed(1));
  row(
    'a year of strips, two sessions a day: their data',
    `${core.strips.toFixed(0)} ms`,
    `${core.stripsPlain.toFixed(0)} ms reading and parsing the same rows`,
    (core.strips / core.stripsPlain).toFixed(1),
  );
  row(
    'beside the same rows over our own client',
    '',
    `${core.stripsKept.toFixed(1)} ms`,
    (core.strips / core.stripsKept).toFixed(1),
  );
  row('a course of twelve weeks judged, as the worker does', `${core.course.toFixed(1)} ms`);
  row('the verdicts on that year, in the worker', `${core.judged.toFixed(0)} ms`);

  const opened = await post('/api/v1/patient/open', { token: patientToken });
  const patient = opened.headers.get('set-cookie').split(';')[0];
  const html = await (await fetch(`${origin}/today`, { headers: { cookie: patient } })).text();
  // Browsers with modules, which is every one this runs in, do not fetch what is marked nomodule.
  const tags = [...html.matchAll(/<script[^>]+src="([^"]+)"[^>]*>/g)];
  const modern = tags.filter(([tag]) => !/nomodule/i.test(tag));
  const scripts = [...new Set(modern.map((match) => match[1]))];
  const kB = (buffers) => buffers.reduce((sum, buffer) => sum + gzipSync(buffer).length, 0) / 1000;
  const shell = kB(
    await Promise.all(
      scripts.map(async (path) =>
        Buffer.from(await (await fetch(`${origin}${path}`)).arrayBuffer()),
      ),
    ),
  );
  const manifest = JSON.parse(readFileSync(join(ROOT, '.next/build-manifest.json'), 'utf8'));
  const empty = kB(manifest.rootMainFiles.map((file) => readFileSync(join(ROOT, '.next', file))));
  row(
    'first-load script of the patient’s page',
    `${shell.toFixed(0)} kB gzipped`,
    `${empty.toFixed(0)} kB every page’s floor`,
    (shell / empty).toFixed(2),
  );
} finally {
  server.kill();
}
row('of the processors’ time, given to others by the machine’s host', taken());
console.log(`\n| what | measured | beside | ratio |\n|---|---|---|---|`);
for (const { what, value, beside, ratio } of rows)
  console.log(`| ${what} | ${value} | ${beside} | ${ratio} |`);
