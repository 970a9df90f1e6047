import { createClient } from '@libsql/client';
import { createHash, randomBytes, randomUUID } from 'node:crypto';

/** Phones of the first patients, each with the lines of its newest version. */
export async function openPhones(file, { count, addressOf }) {
  const client = createClient({ url: `file:${file}` });
  const { rows: found } = await client.execute({
    sql: `SELECT v.clinic_id, v.patient_id, v.programme_id, max(v.number) AS number, l.id AS link_id
      FROM programme_version v JOIN patient_link l ON l.clinic_id = v.clinic_id AND l.patient_id = v.patient_id
      GROUP BY v.patient_id ORDER BY v.patient_id LIMIT ?`,
    args: [count],
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
      at: addressOf(phones.length),
      programmeId: one.programme_id,
      version: one.number,
      lineages: lines.rows.map(({ lineage }) => lineage),
    });
  }
  client.close();
  return phones;
}

/** What one phone posts of one session: begun, each exercise as it is done, ended, told. */
export function postsOf({ programmeId, version, lineages }) {
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

/** One post of a phone; milliseconds until it was answered. */
export async function sent(phone, events) {
  const began = performance.now();
  const answer = await post(
    phone.at,
    '/api/v1/patient/events',
    { sentAt: Date.now(), events },
    `dl_patient=${phone.token}`,
  );
  const text = await answer.text();
  if (answer.status !== 200) throw new Error(`a phone was answered ${answer.status} ${text}`);
  return performance.now() - began;
}

export const post = (address, path, body, cookie = '') =>
  fetch(`${address}${path}`, {
    method: 'POST',
    headers: { origin: address, cookie, 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
