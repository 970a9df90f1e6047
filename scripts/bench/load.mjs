import { createClient } from '@libsql/client';
import { spawn } from 'node:child_process';
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { ENVIRONMENT, ROOT, ensureBuild, option, run } from '../lib/project.mjs';

/**
 * The morning of a large clinic: 5,000 patients, 200 phones that send a session at once and a desk that
 * opens the list meanwhile. The load is made by this process, the server is another: `npm run bench:load`.
 * Printed, never asserted.
 */
const PORT = Number(option('port', '3918'));
const PHONES = Number(option('phones', '200'));
/** Servers on the same database; phones are spread over them, the desk asks the first. */
const PROCESSES = Number(option('processes', '1'));
/** Posts a second of the second run. */
const PACE = Number(option('pace', '150'));
const LISTS = 5;
const made = join(ROOT, 'data', 'bench');
const data = join(ROOT, 'data', 'load');
const probe = join(data, 'loop.jsonl');
const origin = `http://localhost:${PORT}`;

const at = (values, share) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length * share)] ?? 0;
const rows = [];
const row = (what, value) => rows.push([what, value]);
const ms = (value) => `${value < 10 ? value.toFixed(1) : Math.round(value)} ms`;

ensureBuild();
if (!existsSync(join(made, 'bench.json'))) {
  mkdirSync(made, { recursive: true });
  console.log('Writing 5,000 patients with their records …');
  run(process.execPath, ['--import', 'tsx', 'scripts/bench/records.ts', join(made, 'bench.json')], {
    env: { ...ENVIRONMENT, DATA_DIR: made, PUBLIC_URL: origin },
  });
}
rmSync(data, { recursive: true, force: true });
mkdirSync(data, { recursive: true });
copyFileSync(join(made, 'dry-lantern.db'), join(data, 'dry-lantern.db'));
const { email, password } = JSON.parse(readFileSync(join(made, 'bench.json'), 'utf8'));

/** Phones of the first patients, each with the lines of its newest version. */
async function openPhones() {
  const client = createClient({ url: `file:${join(data, 'dry-lantern.db')}` });
  const { rows: found } = await client.execute({
    sql: `SELECT v.clinic_id, v.patient_id, v.programme_id, max(v.number) AS number, l.id AS link_id
      FROM programme_version v JOIN patient_link l ON l.clinic_id = v.clinic_id AND l.patient_id = v.patient_id
      GROUP BY v.patient_id ORDER BY v.patient_id LIMIT ?`,
    args: [PHONES],
  });
  const phones = [];
  const now = Date.now();
  for (const one of found) {
    const token = randomBytes(32).toString('base64url');
    await client.execute({
      sql: 'INSERT INTO patient_device (token_hash, clinic_id, patient_id, link_id, created_at, last_seen_at) VALUES (?, ?, ?, ?, ?, ?)',
      args: [
        createHash('sha256').update(token).digest('base64url'),
        one.clinic_id,
        one.patient_id,
        one.link_id,
        now,
        now,
      ],
    });
    const lines = await client.execute({
      sql: 'SELECT lineage FROM programme_line WHERE clinic_id = ? AND programme_id = ? AND number = ? ORDER BY place',
      args: [one.clinic_id, one.programme_id, one.number],
    });
    phones.push({
      token,
      at: `http://localhost:${PORT + (phones.length % PROCESSES)}`,
      programmeId: one.programme_id,
      version: one.number,
      lineages: lines.rows.map(({ lineage }) => lineage),
    });
  }
  client.close();
  return phones;
}

/** What one phone posts of one session: begun, each exercise as it is done, ended, told. */
function postsOf({ programmeId, version, lineages }) {
  const sessionId = randomUUID();
  let offsetMs = 0;
  const event = (body) => ({
    id: randomUUID(),
    sessionId,
    sessionKey: 'session-1',
    programmeId,
    version,
    deviceAt: Date.now(),
    offsetMs: (offsetMs += 30_000),
    body,
  });
  const reps = Array.from({ length: 10 }, (_, index) => ({
    round: 1,
    side: null,
    direction: 1,
    station: 1,
    set: 1,
    rep: index + 1,
    held: 10,
    moved: 0,
  }));
  return [
    [event({ type: 'started' })],
    ...lineages.map((lineage) => [event({ type: 'line', lineage, reps, skipped: null })]),
    [event({ type: 'ended' })],
    [event({ type: 'check-in', pain: 3, effort: 4, word: '' })],
  ];
}

const post = (path, body, cookie = '', at = origin) =>
  fetch(`${at}${path}`, {
    method: 'POST',
    headers: { origin: at, cookie, 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });

async function timed(job) {
  const began = performance.now();
  const value = await job();
  return { value, took: performance.now() - began };
}

async function listOnce(cookie) {
  const { value, took } = await timed(async () => {
    const answer = await fetch(`${origin}/`, { headers: { cookie } });
    if (answer.status !== 200) throw new Error(`the list answered ${answer.status}`);
    return answer.text();
  });
  return { took, html: value };
}

const phones = await openPhones();
const addressOf = (process) => `http://localhost:${PORT + process}`;
const started = (index) =>
  spawn(process.execPath, ['scripts/serve/server.mjs', String(PORT + index)], {
    cwd: ROOT,
    env: {
      ...ENVIRONMENT,
      NODE_ENV: 'production',
      // The first is the one that is looked into.
      ...(index === 0
        ? {
            NODE_OPTIONS: `--import ${join(ROOT, 'scripts/bench/loop-probe.mjs')}`,
            LOOP_PROBE: probe,
          }
        : {}),
      DATA_DIR: data,
      PUBLIC_URL: addressOf(index),
    },
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
  });
const servers = [];
for (let index = 0; index < PROCESSES; index += 1) {
  servers.push(started(index));
  await new Promise((resolve) => servers[index].once('message', resolve));
}
const [server] = servers;

/** What the server's event loop was late by since the last time this was asked. */
async function loop() {
  const before = existsSync(probe) ? readFileSync(probe, 'utf8').length : 0;
  server.kill('SIGUSR2');
  for (;;) {
    await wait(20);
    const text = existsSync(probe) ? readFileSync(probe, 'utf8') : '';
    if (text.length > before) return JSON.parse(text.trim().split('\n').at(-1));
  }
}
const late = ({ p999, max }) => `p99.9 ${ms(p999)}, longest ${ms(max)}`;

try {
  const cookie = (await post('/api/v1/sign-in', { email, password })).headers
    .get('set-cookie')
    .split(';')[0];
  const patient = `dl_patient=${phones[0].token}`;
  const today = () =>
    fetch(`${origin}/today`, { headers: { cookie: patient } }).then((a) => a.text());
  await today();
  await loop();
  await wait(5_000);
  row('processes', String(PROCESSES));
  row('event loop, nothing to do', late(await loop()));

  row('memory at the start', `${Math.round((await loop()).megabytes)} MB`);

  /** What a phone that asks for Today all the time waits for while a job runs. */
  const besideToday = async (job) => {
    let asks = true;
    const waits = [];
    const asking = (async () => {
      while (asks) {
        waits.push((await timed(today)).took);
        await wait(20);
      }
    })();
    const value = await job();
    asks = false;
    await asking;
    row(
      '… Today of a phone meanwhile',
      `p50 ${ms(at(waits, 0.5))}, p95 ${ms(at(waits, 0.95))}, longest ${ms(Math.max(...waits))}`,
    );
    row('… event loop', late(await loop()));
    return value;
  };
  /** Opens the list until no row is being reckoned any more. */
  const untilAllThere = async () => {
    const began = performance.now();
    const first = await listOnce(cookie);
    let { html } = first;
    while (/still being reckoned/.test(html)) {
      if (performance.now() - began > 180_000) throw new Error('the rows were never all there');
      await wait(500);
      ({ html } = await listOnce(cookie));
    }
    return { first: first.took, seconds: (performance.now() - began) / 1000 };
  };
  await besideToday(async () => {
    const { first, seconds } = await untilAllThere();
    row('no row there at all: the first look', ms(first));
    row('… all 5,000 rows from nothing, behind it', `${seconds.toFixed(1)} s`);
  });
  // Midnight: every row is there and past its time.
  const client = createClient({ url: `file:${join(data, 'dry-lantern.db')}` });
  await client.execute('UPDATE triage_row SET stale_at = 1');
  client.close();
  await besideToday(async () => {
    const { first, seconds } = await untilAllThere();
    row('first look after midnight', ms(first));
    row('… all 5,000 rows anew, behind it', `${seconds.toFixed(1)} s`);
  });

  const quiet = [];
  for (let round = 0; round < 8; round += 1) quiet.push(await listOnce(cookie));
  row(
    'list, all rows there',
    `${ms(
      at(
        quiet.map(({ took }) => took),
        0.5,
      ),
    )}, ${Math.round(quiet[0].html.length / 1000)} kB`,
  );
  await loop();

  /** One post of a phone; milliseconds until it was answered. */
  const sent = async (phone, events) => {
    const { value, took } = await timed(async () => {
      const answer = await post(
        '/api/v1/patient/events',
        { sentAt: Date.now(), events },
        `dl_patient=${phone.token}`,
        phone.at,
      );
      return [answer.status, await answer.text()];
    });
    if (value[0] !== 200) throw new Error(`a phone was answered ${value.join(' ')}`);
    return took;
  };
  /** Sends sessions of all phones as `send` says, the list opened five times meanwhile, and says how it went. */
  const measured = async (what, send) => {
    const times = [];
    const lists = [];
    const start = performance.now();
    const opening = (async () => {
      for (let round = 0; round < LISTS; round += 1) {
        await wait(700);
        lists.push((await listOnce(cookie)).took);
      }
    })();
    await send(times);
    const seconds = (performance.now() - start) / 1000;
    await opening;
    row(
      `${times.length} event posts of ${phones.length} phones, ${what}`,
      `${(times.length / seconds).toFixed(0)}/s, p50 ${ms(at(times, 0.5))}, p95 ${ms(at(times, 0.95))}`,
    );
    row('… the list meanwhile', `p50 ${ms(at(lists, 0.5))}, longest ${ms(Math.max(...lists))}`);
    const after = await loop();
    row('… event loop', late(after));
    row('… memory after it', `${Math.round(after.megabytes)} MB`);
  };
  await measured('each as fast as it is answered', (times) =>
    Promise.all(
      phones.map(async (phone) => {
        for (const events of postsOf(phone)) times.push(await sent(phone, events));
      }),
    ),
  );
  await measured(`${PACE} a second`, async (times) => {
    const began = performance.now();
    const sessions = phones.map((phone) => ({
      phone,
      posts: postsOf(phone),
      last: Promise.resolve(),
    }));
    const running = [];
    const turns = Math.max(...sessions.map(({ posts }) => posts.length));
    let count = 0;
    for (let turn = 0; turn < turns; turn += 1)
      for (const session of sessions) {
        const events = session.posts[turn];
        if (!events) continue;
        await wait(Math.max(0, began + (count / PACE) * 1000 - performance.now()));
        count += 1;
        session.last = session.last.then(async () => times.push(await sent(session.phone, events)));
        running.push(session.last);
      }
    await Promise.all(running);
  });
} finally {
  for (const one of servers) one.kill('SIGTERM');
}
console.log('\n| what | measured |\n|---|---|');
for (const cells of rows) console.log(`| ${cells.join(' | ')} |`);
