import { randomUUID } from 'node:crypto';
import type { AddressInfo } from 'node:net';
import { SMTPServer } from 'smtp-server';
import type { MailDraft } from '@/core/records';
import type { Instant } from '@/core/schedule';
import { type MessageRow, auditOf, mailServerOf } from '@/db';
import { now } from '@/server/clock';
import { housesSender } from '@/server/mail/sender';
import { mailOf, saveMail, sendsMail, testMail } from '@/server/mail/settings';
import { takeReturned } from '@/server/mail/returned';
import { stopMails, stopPage } from '@/server/mail/stop';
import { saveSettings } from '@/server/patient/settings';
import { sendDue, simulatedSender } from '@/server/patient/outbox';
import { device, makePatient } from '../support/clinic';
import { dueMessage } from '../support/due-message';
import { settings } from '../support/patient-here';
import { databaseStage } from '../support/stage';

/** Reminders that leave the house, tried against a mail server of the test's own. */
const stage = databaseStage('mail');
type Taken = { readonly to: string; readonly text: string };
const taken: Taken[] = [];
let answer: { code: number; say: string } | null = null;
let port = 0;
const server = new SMTPServer({
  authOptional: true,
  disabledCommands: ['STARTTLS'],
  allowInsecureAuth: true,
  onAuth: ({ username, password }, _, done) =>
    username === 'clinic' && password === 'right'
      ? done(null, { user: username })
      : done(new Error('535 wrong password')),
  onRcptTo: (_, __, done) => {
    if (!answer) return done();
    return done(Object.assign(new Error(answer.say), { responseCode: answer.code }));
  },
  onData: (stream, session, done) => {
    let text = '';
    stream.on('data', (piece: Buffer) => (text += piece.toString('utf8')));
    stream.on('end', () => {
      taken.push({ to: session.envelope.rcptTo.map(({ address }) => address).join(), text });
      done();
    });
  },
});

const DRAFT: MailDraft = {
  on: true,
  host: '127.0.0.1',
  port: 0,
  security: 'none',
  user: 'clinic',
  password: 'right',
  from: 'reminders@harbour.example',
  mostADay: 50,
};
const set = (change: Partial<MailDraft> = {}) =>
  saveMail(stage.lead, { ...DRAFT, port, ...change });

beforeAll(async () => {
  process.env.PUBLIC_URL = 'https://lantern.example';
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  port = (server.server.address() as AddressInfo).port;
});
afterAll(async () => {
  delete process.env.PUBLIC_URL;
  await new Promise<void>((ended) => server.close(ended));
});
beforeEach(() => {
  taken.length = 0;
  answer = null;
});

/** A reminder that is due now, and what became of it. */
async function remind(patientId: string, change: Partial<MessageRow> = {}) {
  const { clinicId } = stage.practitioner;
  const message = await dueMessage(
    { clinicId, patientId },
    { channel: 'e-mail', address: 'patient@home.example', ...change },
  );
  const { id } = message;
  const standIn = simulatedSender();
  const send = () => sendDue(housesSender(standIn), now());
  await send();
  const became = async () => {
    const row = await message.became();
    return [row?.state, row?.because];
  };
  return { became, send, id, standIn };
}

describe('setting it up', () => {
  it('wants the public address, since a mail carries a link', async () => {
    const address = process.env.PUBLIC_URL;
    delete process.env.PUBLIC_URL;
    await expect(set()).rejects.toMatchObject({ status: 409 });
    process.env.PUBLIC_URL = address;
    expect(await mailOf(stage.lead)).toBeNull();
  });

  it('shows the password to nobody, keeps it when left empty, and never takes it elsewhere', async () => {
    await set();
    expect(JSON.stringify(await mailOf(stage.lead))).not.toContain('right');
    expect(await mailOf(stage.lead)).toMatchObject({ hasPassword: true });
    await set({ password: '' });
    expect((await mailServerOf(stage.lead.clinicId))?.password).toBe('right');
    await expect(set({ password: '', host: 'elsewhere.example' })).rejects.toMatchObject({
      status: 400,
      at: ['password'],
    });
    expect((await mailServerOf(stage.lead.clinicId))?.host).toBe('127.0.0.1');
  });

  it('sends a test to the lead, and says what the server said', async () => {
    await set();
    expect(await testMail(stage.lead)).toMatchObject({ sent: true });
    expect(taken).toMatchObject([{ to: stage.emails.lead }]);
    await set({ password: 'wrong' });
    expect(await testMail(stage.lead)).toMatchObject({ sent: false });
    await set({ port: 9, password: 'right' });
    expect(await testMail(stage.lead)).toMatchObject({ sent: false });
    expect(taken).toHaveLength(1);
    await set();
  });
});

describe('a reminder', () => {
  it('leaves by the clinic’s server, with a link that stops it and nothing of health', async () => {
    await set();
    const id = await makePatient(stage.practitioner, 'Mail Patient');
    const { became, send } = await remind(id);
    expect(await became()).toEqual(['sent', null]);
    expect(taken).toHaveLength(1);
    const [mail] = taken;
    expect(mail?.to).toBe('patient@home.example');
    expect(mail?.text).toContain('time for your exercises');
    // A long header is folded over lines.
    expect(mail?.text.replace(/\r\n\s+/g, ' ')).toMatch(
      /List-Unsubscribe: <https:\/\/lantern\.example\/stop-mail\?t=/,
    );
    expect(mail?.text).not.toMatch(/pain|neck|Mail Patient/i);
    // It went once.
    await send();
    expect(taken).toHaveLength(1);
  });

  it('stays with the stand-in for texts, and where the server is off', async () => {
    await set();
    const id = await makePatient(stage.practitioner, 'Text Patient');
    await remind(id, { channel: 'text' });
    const { clinicId } = stage.lead;
    expect(await sendsMail(clinicId)).toBe(true);
    await set({ on: false });
    expect(await sendsMail(clinicId)).toBe(false);
    await remind(id);
    expect(taken).toEqual([]);
  });

  it('is tried again when the server asks to come later, and given up when it refuses for good', async () => {
    await set();
    const id = await makePatient(stage.practitioner, 'Refused Patient');
    answer = { code: 451, say: 'come later' };
    const later = await remind(id);
    expect(await later.became()).toEqual(['waiting', null]);
    answer = { code: 550, say: 'nobody here' };
    const never = await remind(id);
    expect(await never.became()).toEqual(['given up', 'refused for good']);
  });

  it('goes no further than the bound of the day', async () => {
    const id = await makePatient(stage.practitioner, 'Bounded Patient');
    const { clinicId } = stage.practitioner;
    const { mailsSince } = await import('@/db');
    const sent = await mailsSince(clinicId, 0 as Instant);
    await set({ mostADay: sent + 1 });
    expect(await (await remind(id)).became()).toEqual(['sent', null]);
    expect(await (await remind(id)).became()).toEqual(['given up', 'bound of the day']);
    // What the lead has to hear is not bounded.
    const told = await remind(id, { purpose: 'escalation', address: stage.emails.lead });
    expect(await told.became()).toEqual(['sent', null]);
    expect(taken.at(-1)?.text).not.toContain('stop-mail');
  });
});

describe('stopping', () => {
  const link = (text = '') => decodeURIComponent(/stop-mail\?t=([^>\s]+)/.exec(text)?.[1] ?? '');

  it('is one touch of the link in the mail, until the patient asks anew on the phone', async () => {
    await set();
    const id = await makePatient(stage.practitioner, 'Stopping Patient');
    await remind(id);
    const token = link(taken[0]?.text.replace(/=\r?\n/g, '').replace(/=3D/g, '='));
    expect(await stopPage(token)).toEqual({ clinic: 'harbour', stopped: false });
    await stopMails(token);
    await stopMails(token);
    expect(await stopPage(token)).toMatchObject({ stopped: true });
    expect(await (await remind(id)).became()).toEqual(['given up', 'stopped by the patient']);
    const verbs = (await auditOf(stage.practitioner.clinicId, id)).map(({ verb }) => verb);
    expect(verbs.filter((verb) => verb === 'stopped the mails to')).toHaveLength(1);
    const here = await device(stage.practitioner, id);
    await saveSettings(here, {
      ...settings(),
      reminders: {
        sessions: true,
        posture: false,
        channel: 'e-mail',
        address: 'patient@home.example',
        quiet: { from: 1260, to: 420 },
      },
    });
    expect(await (await remind(id)).became()).toEqual(['sent', null]);
  });

  it('is nothing for a link that was not signed', async () => {
    await set();
    const id = await makePatient(stage.practitioner, 'Forged Patient');
    await remind(id);
    const token = link(taken[0]?.text.replace(/=\r?\n/g, '').replace(/=3D/g, '='));
    const [clinic, , signed] = token.split('.');
    const other = await makePatient(stage.practitioner, 'Another Patient');
    for (const forged of [
      `${clinic}.${other}.${signed}`,
      `${clinic}.${id}.`,
      `${clinic}.${id}.${signed}x`,
      `${randomUUID()}.${id}.${signed}`,
      'x',
      '',
    ]) {
      expect(await stopPage(forged)).toBeNull();
      await expect(stopMails(forged)).rejects.toMatchObject({ status: 404 });
    }
  });
});

describe('a mail that comes back later', () => {
  /** A report as RFC 3464 (section 6) shows one, about the mail of this id. From memory. */
  const report = (id: string, action = 'failed', status = '5.1.1') =>
    Buffer.from(
      [
        'From: Mail Delivery Subsystem <MAILER-DAEMON@mail.example>',
        'To: reminders@harbour.example',
        'MIME-Version: 1.0',
        'Content-Type: multipart/report; report-type=delivery-status; boundary="b"',
        '',
        '--b',
        '',
        'Your message could not be delivered.',
        '--b',
        'Content-Type: message/delivery-status',
        '',
        'Reporting-MTA: dns; mail.example',
        '',
        'Final-Recipient: rfc822; patient@home.example',
        `Action: ${action}`,
        `Status: ${status}`,
        'Diagnostic-Code: smtp; 550 5.1.1 User unknown',
        '--b',
        'Content-Type: text/rfc822-headers',
        '',
        `Message-ID: ${id}`,
        '--b--',
      ].join('\r\n'),
    );
  const idOf = (text: string) => /^Message-ID: (<[^>]+>)/im.exec(text)?.[1] ?? '';

  it('marks the reminder, and no other goes to that address until another is chosen', async () => {
    await set();
    const patientId = await makePatient(stage.practitioner, 'Moved Away');
    const first = await remind(patientId);
    const id = idOf(taken[0]?.text ?? '');
    // The id tells nobody whom the mail is for.
    expect(id).toMatch(/^<[0-9a-f]{32}@harbour\.example>$/);
    expect(id).not.toContain(patientId);
    await expect(takeReturned(stage.practitioner, report(id, 'delayed'))).resolves.toMatchObject({
      say: expect.stringContaining('goes on trying') as string,
    });
    expect(await first.became()).toEqual(['sent', null]);
    await expect(takeReturned(stage.practitioner, report(id))).resolves.toMatchObject({
      say: expect.stringContaining('(5.1.1)') as string,
    });
    expect(await first.became()).toEqual(['given up', 'came back']);
    const second = await remind(patientId);
    expect(await second.became()).toEqual(['given up', 'address sends back']);
    const elsewhere = await remind(patientId, { address: 'new@home.example' });
    expect(await elsewhere.became()).toEqual(['sent', null]);
    // Put in twice it changes nothing.
    await expect(takeReturned(stage.practitioner, report(id))).rejects.toMatchObject({
      guard: 'newest',
    });
  });

  it('is refused where it is no report, or about nobody of this clinic', async () => {
    await set();
    const patientId = await makePatient(stage.practitioner, 'Another One');
    await remind(patientId);
    const id = idOf(taken[0]?.text ?? '');
    await expect(
      takeReturned(stage.practitioner, Buffer.from(`I am away.\n${id}`)),
    ).rejects.toMatchObject({ status: 400 });
    await expect(
      takeReturned(stage.practitioner, report(`<${'0'.repeat(32)}@harbour.example>`)),
    ).rejects.toMatchObject({ status: 404 });
  });
});
