import { randomUUID } from 'node:crypto';
import { createClient } from '@libsql/client';
import { LIST_BOUNDS, databaseUrl } from '@/db';
import { auditQuery } from '@/server/audit-asked';
import { auditFile, auditLines, fileLooks } from '@/server/audit-list';
import { checkRecord } from '@/server/check/record-check';
import { later } from '@/core/schedule';
import { now, setClock } from '@/server/clock';
import { CLOCK_SLACK_MS } from '@/db/bounds';
import { pauseMyself } from '@/server/patient/settings';
import { writtenAhead } from '@/server/clock-look';
import { noteLook } from '@/server/looks';
import { sessionName } from '@/server/secrets';
import { signIn } from '@/server/sign-in';
import { brokenSeals, sealAudit } from '@/server/seals';
import { ZONE, device, makeClinic, makePatient, member, ownDomain, today } from '../support/clinic';
import { databaseStage, patientOf } from '../support/stage';

const stage = databaseStage('audit');
const MINUTE_MS = 60_000;
afterEach(() => setClock(null));

const ALL = { show: 'changes', who: null, from: null, to: null } as const;
const LOOKS = { ...ALL, show: 'looks' } as const;
const said = async (asked: Parameters<typeof auditQuery>[0], lead = stage.lead) =>
  (await auditFile(lead, auditQuery(asked, ZONE))).map(({ by, verb, subject }) => [
    by,
    verb,
    subject,
  ]);

it('names the patient whose own phone told it', async () => {
  const patientId = await makePatient(stage.practitioner, 'Told Byphone');
  const here = await device(stage.practitioner, patientId);
  await pauseMyself(here, { id: randomUUID(), from: today(), to: today(), reason: 'ill' });
  // Asked for alone: no entry about the patient tells whose name it is.
  expect(await said({ ...ALL, who: patientId })).toEqual([
    ['Told Byphone', 'paused', expect.stringMatching(/^pause [0-9a-f]{8}$/) as string],
    ['Told Byphone', 'opened', expect.stringMatching(/^link [0-9a-f]{8}$/) as string],
  ]);
});

describe('looks into a file', () => {
  it('are kept: one for ten minutes of a session, one for every document', async () => {
    const patient = await patientOf(stage, await makePatient(stage.practitioner, 'Linnet Marlow'));
    const start = Date.now();
    const at = (minutes: number) => setClock(() => start + minutes * MINUTE_MS);
    for (const minute of [0, 5, 9.99, 10]) {
      at(minute);
      await noteLook(stage.practitioner, patient, 'file');
    }
    await noteLook(stage.assistant, patient, 'file');
    await noteLook(stage.assistant, patient, 'handout');
    await noteLook(stage.assistant, patient, 'handout');
    const looks = await fileLooks(patient);
    expect(looks.map(({ by, what }) => `${by} ${what}`)).toEqual([
      'assistant of harbour made a handout of',
      'assistant of harbour made a handout of',
      'assistant of harbour looked into the file of',
      'practitioner of harbour looked into the file of',
      'practitioner of harbour looked into the file of',
    ]);
    expect(looks[0]?.session).toBe(sessionName(stage.assistant.tokenHash));
    expect((await said(LOOKS)).slice(0, 1)).toEqual([
      ['assistant of harbour', 'made a handout of', 'Linnet Marlow'],
    ]);
  });

  it('are the own clinic’s alone', async () => {
    const other = await member((await makeClinic('other', ownDomain())).emails.lead);
    const patient = await patientOf(stage, await makePatient(stage.practitioner));
    await noteLook(stage.practitioner, patient, 'file');
    expect(await said(LOOKS, other)).toEqual([]);
  });
});

describe('the audit', () => {
  it('tells a sign-in that was refused, and is asked by member and by day', async () => {
    const { emails } = await makeClinic('dock', ownDomain());
    const lead = await member(emails.lead);
    await expect(signIn(emails.assistant, 'wrong', 'x')).rejects.toMatchObject({ status: 401 });
    expect((await said(ALL, lead))[0]).toEqual([
      'system',
      'refused to sign in',
      'assistant of dock',
    ]);
    const practitioner = await member(emails.practitioner);
    await makePatient(practitioner);
    const own = await said({ ...ALL, who: practitioner.id }, lead);
    expect(own.map(([by]) => by)).toEqual(own.map(() => 'practitioner of dock'));
    expect(own.length).toBeGreaterThan(1);
    const [all, on] = [await said(ALL, lead), { from: today(), to: today() }];
    expect(await said({ ...ALL, ...on }, lead)).toEqual(all);
    expect(await said({ ...ALL, from: today(1) }, lead)).toEqual([]);
    expect(await said({ ...ALL, to: today(-1) }, lead)).toEqual([]);
  });

  it('is paged, each row once', async () => {
    const { emails } = await makeClinic('pier', ownDomain());
    const lead = await member(emails.lead);
    for (let n = 0; n < LIST_BOUNDS.auditPage; n += 1) await makePatient(lead, `Patient ${n}`);
    const first = await auditLines(lead, auditQuery(ALL, ZONE));
    expect(first.rows).toHaveLength(LIST_BOUNDS.auditPage);
    const second = await auditLines(lead, auditQuery(ALL, ZONE, first.next ?? 0));
    expect(second.next).toBeNull();
    const ids = [...first.rows, ...second.rows].map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids).toHaveLength((await said(ALL, lead)).length);
    // A page that ends with the first row ever leads to no empty one.
    const before = ids.at(-1 - LIST_BOUNDS.auditPage) ?? 0;
    const last = await auditLines(lead, auditQuery(ALL, ZONE, before));
    expect([last.rows.length, last.next]).toEqual([LIST_BOUNDS.auditPage, null]);
  });
});

describe('the seals over the audit', () => {
  const change = async (sql: string) => {
    const client = createClient({ url: databaseUrl() });
    for (const table of ['audit_event', 'file_look', 'audit_seal'])
      for (const verb of ['update', 'delete'])
        await client.execute(`DROP TRIGGER IF EXISTS ${table}_no_${verb}`);
    await client.execute(sql);
    client.close();
  };

  it('hold as long as nothing was changed or taken out, and name what was', async () => {
    const patient = await patientOf(stage, await makePatient(stage.practitioner));
    await noteLook(stage.lead, patient, 'letter');
    while ((await sealAudit()) > 0);
    expect(await sealAudit()).toBe(0);
    await makePatient(stage.practitioner);
    // Two at once: each row stands under one seal.
    const both = await Promise.all([sealAudit(), sealAudit()]);
    expect(both.filter((count) => count > 0)).toHaveLength(1);
    expect(await brokenSeals()).toEqual([]);
    expect((await checkRecord()).faults).toEqual([]);

    await change('UPDATE audit_event SET actor_id = actor_id WHERE id = 1');
    expect(await brokenSeals()).toEqual([]);
    await change("UPDATE file_look SET what = 'file' WHERE what = 'letter'");
    const changed = await brokenSeals();
    expect(changed.length).toBe(1);
    expect(changed[0]).toMatch(/^The audit between seal \d+ and seal \d+ was changed/);
    expect((await checkRecord()).faults).toEqual(changed);
    await change('DELETE FROM audit_event WHERE id = 2');
    expect((await brokenSeals()).length).toBeGreaterThanOrEqual(1);
    await change('DELETE FROM audit_seal WHERE id = 1');
    expect((await brokenSeals()).length).toBeGreaterThanOrEqual(1);
  });
});

it('says where the newest entry lies ahead of the clock', async () => {
  expect(await writtenAhead(stage.lead)).toBeNull();
  const at = now();
  setClock(() => later(at, 400 * 86_400_000));
  await makePatient(await member(stage.emails.practitioner), 'Of a wrong clock');
  const ahead = now();
  expect(await writtenAhead(stage.lead)).toBeNull();
  setClock(null);
  expect(await writtenAhead(stage.lead)).toBe(ahead);
  // Up to the slack two clocks may differ.
  setClock(() => later(ahead, -CLOCK_SLACK_MS));
  expect(await writtenAhead(stage.lead)).toBeNull();
  setClock(() => later(ahead, -CLOCK_SLACK_MS - 1));
  expect(await writtenAhead(stage.lead)).toBe(ahead);
  setClock(null);
});
