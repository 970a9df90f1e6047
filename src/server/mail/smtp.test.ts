import { createTransport } from 'nodemailer';
import type { MailServer } from '@/db';
import { sendBySmtp } from './smtp';

const sendMail = jest.fn();
const close = jest.fn();
jest.mock('nodemailer', () => ({
  createTransport: jest.fn(() => ({ sendMail, close })),
}));

const SERVER: MailServer = {
  host: 'mail.clinic.example',
  port: 587,
  security: 'starttls',
  user: 'desk',
  password: 'low tide',
} as MailServer;
const MAIL = {
  to: 'somebody@home.example',
  from: { name: 'Harbour', address: 'desk@clinic.example' },
  subject: 'A reminder',
  text: 'Your exercises wait.',
  stopAt: 'https://clinic.example/stop-mail?t=x',
  id: 'abc',
};
const options = () => jest.mocked(createTransport).mock.lastCall?.[0] as Record<string, unknown>;

beforeEach(() => {
  sendMail.mockReset().mockResolvedValue({});
  close.mockReset();
});

it.each([
  ['tls', { secure: true, requireTLS: false, ignoreTLS: false }],
  ['starttls', { secure: false, requireTLS: true, ignoreTLS: false }],
  ['none', { secure: false, requireTLS: false, ignoreTLS: true }],
] as const)('with %s a mail leaves just so, never less safely', async (security, asked) => {
  await sendBySmtp({ ...SERVER, security }, MAIL);
  expect(options()).toMatchObject(asked);
});

it('reads no file and no address for what stands in a mail', async () => {
  await sendBySmtp(SERVER, MAIL);
  expect(options()).toMatchObject({ disableFileAccess: true, disableUrlAccess: true });
});

it('gives a name only to a server that wants one', async () => {
  await sendBySmtp(SERVER, MAIL);
  expect(options()).toMatchObject({ auth: { user: 'desk', pass: 'low tide' } });
  await sendBySmtp({ ...SERVER, user: '' }, MAIL);
  expect(options()).not.toHaveProperty('auth');
});

it('says how reminders are stopped and by which id they are known, where there is one', async () => {
  await sendBySmtp(SERVER, MAIL);
  expect(sendMail).toHaveBeenCalledWith(
    expect.objectContaining({
      messageId: '<abc@clinic.example>',
      headers: {
        'Auto-Submitted': 'auto-generated',
        'List-Unsubscribe': '<https://clinic.example/stop-mail?t=x>',
      },
    }),
  );
  await sendBySmtp(SERVER, { ...MAIL, stopAt: '', id: null });
  const [sent] = sendMail.mock.lastCall as [Record<string, unknown>];
  expect(sent).not.toHaveProperty('messageId');
  expect(sent.headers).toEqual({ 'Auto-Submitted': 'auto-generated' });
});

it.each([
  [{ code: 'EENVELOPE', responseCode: 550 }, 'refused'],
  [{ code: 'EENVELOPE', responseCode: 500 }, 'refused'],
  [{ code: 'EENVELOPE', responseCode: 450 }, 'failed'],
  [{ code: 'EAUTH', responseCode: 535 }, 'failed'],
  [{}, 'failed'],
])('%j is %s, and nothing stays open', async (facts, outcome) => {
  sendMail.mockRejectedValue(Object.assign(new Error('no such box'), facts));
  expect(await sendBySmtp(SERVER, MAIL)).toEqual({ outcome, said: 'no such box' });
  expect(close).toHaveBeenCalledTimes(1);
});
