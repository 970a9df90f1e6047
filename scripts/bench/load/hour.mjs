import { setTimeout as wait } from 'node:timers/promises';
import { option } from '../../lib/project.mjs';
import { at, megabytes, ms, table } from './figures.mjs';
import { openPhones, postsOf, sent } from './phones.mjs';
import { database, listOnce, ready, servers } from './server.mjs';

/**
 * What a server's memory comes to in an hour of mornings: 5,000 phones that send a session by turns, so
 * many posts a second, and a desk that opens the list all the time: `npm run bench:hour`. Said every few
 * minutes, printed at the end, never asserted.
 */
const PORT = Number(option('port', '3918'));
const PHONES = Number(option('phones', '5000'));
const MINUTES = Number(option('minutes', '60'));
/** Posts a second. */
const PACE = Number(option('pace', '20'));
/** Seconds between two looks at the list. */
const LOOK = 10;
/** Minutes between two looks at the memory. */
const EVERY = Number(option('every', '5'));
const origin = `http://localhost:${PORT}`;

ready(origin);
const { row, print } = table();
const phones = await openPhones(database, { count: PHONES, addressOf: () => origin });
const { end, looked, signedIn } = await servers(PORT, 1);

/** Posts of all phones, one session after the other, forty of them under way at any time. */
function* posts() {
  const UNDER_WAY = 40;
  const waiting = [];
  for (let next = 0; ;) {
    while (waiting.length < UNDER_WAY) {
      const phone = phones[next % phones.length];
      waiting.push({ phone, posts: postsOf(phone) });
      next += 1;
    }
    const session = waiting.shift();
    yield { phone: session.phone, events: session.posts.shift() };
    if (session.posts.length > 0) waiting.push(session);
  }
}

try {
  const cookie = await signedIn();
  await listOnce(origin, cookie);
  const began = performance.now();
  const until = began + MINUTES * 60_000;
  const times = [];
  const lists = [];
  const looking = (async () => {
    while (performance.now() < until) {
      lists.push((await listOnce(origin, cookie)).took);
      await wait(LOOK * 1000);
    }
  })();
  const say = async (minutes) => {
    const { megabytes: all, heapUsed, heapTotal, external, max } = await looked();
    row(
      `after ${minutes.toFixed(0)} min`,
      `${megabytes(all)}; first thread's heap ${megabytes(heapUsed)} of ${megabytes(heapTotal)}, beside it ${megabytes(external)}; loop at most ${ms(max)} late`,
    );
    console.log(`${minutes.toFixed(0)} min: ${megabytes(all)}, heap ${megabytes(heapUsed)}`);
  };
  const remembering = (async () => {
    await say(0);
    for (let minutes = EVERY; minutes <= MINUTES; minutes += EVERY) {
      await wait(Math.max(0, began + minutes * 60_000 - performance.now()));
      await say(minutes);
    }
  })();
  const under = new Set();
  let count = 0;
  for (const { phone, events } of posts()) {
    await wait(Math.max(0, began + (count / PACE) * 1000 - performance.now()));
    if (performance.now() > until) break;
    count += 1;
    const one = sent(phone, events)
      .then((took) => times.push(took))
      .finally(() => under.delete(one));
    under.add(one);
  }
  await Promise.all([...under, looking, remembering]);
  row(
    `${times.length} posts, ${PACE} a second`,
    `p50 ${ms(at(times, 0.5))}, p95 ${ms(at(times, 0.95))}`,
  );
  row(`${lists.length} looks at the list`, `p50 ${ms(at(lists, 0.5))}, p95 ${ms(at(lists, 0.95))}`);
} finally {
  end();
}
print();
