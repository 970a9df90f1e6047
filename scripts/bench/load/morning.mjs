import { createClient } from '@libsql/client';
import { setTimeout as wait } from 'node:timers/promises';
import { option } from '../../lib/project.mjs';
import { takenAway } from '../../lib/taken-away.mjs';
import { at, megabytes, ms, table } from './figures.mjs';
import { openPhones, postsOf, sent } from './phones.mjs';
import { database, listOnce, ready, servers } from './server.mjs';

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
const origin = `http://localhost:${PORT}`;

ready(origin);
const taken = takenAway();
const { row, print } = table();
const phones = await openPhones(database, {
  count: PHONES,
  addressOf: (index) => `http://localhost:${PORT + (index % PROCESSES)}`,
});
const { end, looked, signedIn } = await servers(PORT, PROCESSES);
const late = ({ p999, max }) => `p99.9 ${ms(p999)}, longest ${ms(max)}`;
const list = () => listOnce(origin, cookie);
let cookie = '';

try {
  cookie = await signedIn();
  const patient = `dl_patient=${phones[0].token}`;
  const today = () =>
    fetch(`${origin}/today`, { headers: { cookie: patient } }).then((a) => a.text());
  await today();
  await looked();
  await wait(5_000);
  row('processes', String(PROCESSES));
  row('event loop, nothing to do', late(await looked()));

  row('memory at the start', megabytes((await looked()).megabytes));

  /** What a phone that asks for Today all the time waits for while a job runs. */
  const besideToday = async (job) => {
    let asks = true;
    const waits = [];
    const asking = (async () => {
      while (asks) {
        const began = performance.now();
        await today();
        waits.push(performance.now() - began);
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
    row('… event loop', late(await looked()));
    return value;
  };
  /** Opens the list until no row is being reckoned any more. */
  const untilAllThere = async () => {
    const began = performance.now();
    const first = await list();
    let { html } = first;
    while (/still being reckoned/.test(html)) {
      if (performance.now() - began > 180_000) throw new Error('the rows were never all there');
      await wait(500);
      ({ html } = await list());
    }
    return { first: first.took, seconds: (performance.now() - began) / 1000 };
  };
  await besideToday(async () => {
    const { first, seconds } = await untilAllThere();
    row('no row there at all: the first look', ms(first));
    row('… all 5,000 rows from nothing, behind it', `${seconds.toFixed(1)} s`);
  });
  // Midnight: every row is there and past its time.
  const client = createClient({ url: `file:${database}` });
  await client.execute('UPDATE triage_row SET stale_at = 1');
  client.close();
  await besideToday(async () => {
    const { first, seconds } = await untilAllThere();
    row('first look after midnight', ms(first));
    row('… all 5,000 rows anew, behind it', `${seconds.toFixed(1)} s`);
  });

  const quiet = [];
  for (let round = 0; round < 8; round += 1) quiet.push(await list());
  row(
    'list, all rows there',
    `${ms(
      at(
        quiet.map(({ took }) => took),
        0.5,
      ),
    )}, ${Math.round(quiet[0].html.length / 1000)} kB`,
  );
  await looked();

  /** Sends sessions of all phones as `send` says, the list opened five times meanwhile, and says how it went. */
  const measured = async (what, send) => {
    const times = [];
    const lists = [];
    const start = performance.now();
    const opening = (async () => {
      for (let round = 0; round < LISTS; round += 1) {
        await wait(700);
        lists.push((await list()).took);
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
    const after = await looked();
    row('… event loop', late(after));
    row('… memory after it', megabytes(after.megabytes));
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
  end();
}
row('of the processors’ time, given to others by the machine’s host', taken());
print();
