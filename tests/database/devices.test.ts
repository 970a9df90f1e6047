import { hashToken } from '@/server/secrets';
import { later } from '@/core/schedule';
import { auditOf, patientByDevice, touchDevice, write } from '@/db';
import { patientHereOf } from '@/server/access';
import { now, setClock } from '@/server/clock';
import { changeSafety } from '@/server/erase';
import { devicesFor, endDeviceOf, issueLink, openLink, openLinkHere } from '@/server/links';
import { noticeOf, noticeWasRead } from '@/server/patient/notice';
import { saveSettings, settingsOf } from '@/server/patient/settings';
import { makePatient, device } from '../support/clinic';
import { databaseStage, patientOf } from '../support/stage';

const stage = databaseStage('devices');
const DAY_MS = 86_400_000;
let patientId = '';

beforeAll(async () => {
  patientId = await makePatient(stage.practitioner, 'Wren Tarbuck');
});
afterEach(() => setClock(null));

const rules = (change: object) =>
  changeSafety(stage.lead, {
    privacyText: '',
    keepYears: null,
    linkDays: 90,
    deviceDays: 180,
    factorRequired: false,
    ...change,
  });
const holds = async (token: string) => (await patientByDevice(hashToken(token), now())) !== null;

it('are listed, and ended one by one', async () => {
  const { token: link } = await issueLink(stage.practitioner, patientId);
  const { device: first } = await openLink(link);
  const { device: second } = await openLink(link);
  const patient = await patientOf(stage, patientId);
  const listed = await devicesFor(patient);
  expect(listed).toHaveLength(2);
  // What names a device in the list opens nothing.
  expect(listed.map(({ id }) => id)).not.toContain(hashToken(first));
  const id = hashToken(hashToken(first));
  await endDeviceOf(stage.practitioner, patientId, id);
  expect([await holds(first), await holds(second)]).toEqual([false, true]);
  expect(await devicesFor(patient)).toHaveLength(1);
  // Ending it again, or one that never was, changes nothing.
  const before = await auditOf(stage.lead.clinicId, patientId);
  await endDeviceOf(stage.practitioner, patientId, id);
  expect(await auditOf(stage.lead.clinicId, patientId)).toEqual(before);
  expect(before[0]?.verb).toBe('ended a device of');
});

it('take no write any more once they are ended', async () => {
  const here = await device(stage.practitioner, patientId);
  const settings = await settingsOf(here);
  const save = () =>
    saveSettings(here, {
      id: crypto.randomUUID(),
      minutesADay: 10,
      wakeMinute: settings.wakeMinute,
      sleepMinute: settings.sleepMinute,
      props: [],
      language: 'en',
      reminders: settings.reminders,
    });
  await save();
  await endDeviceOf(stage.practitioner, patientId, hashToken(here.tokenHash));
  await expect(save()).rejects.toMatchObject({ guard: 'access' });
});

it('live as long as the clinic lets them, from their last use on', async () => {
  await rules({ deviceDays: 10 });
  const at = now();
  const { token } = await device(stage.practitioner, patientId);
  setClock(() => later(at, 10 * DAY_MS - 60_000));
  expect(await holds(token)).toBe(true);
  setClock(() => later(at, 10 * DAY_MS + 60_000));
  expect(await holds(token)).toBe(false);
  // Used meanwhile: as long again; an older use never takes the place of a newer one.
  await write(() => [touchDevice(hashToken(token), later(at, 5 * DAY_MS))]);
  await write(() => [touchDevice(hashToken(token), later(at, 2 * DAY_MS))]);
  expect(await holds(token)).toBe(true);
  setClock(() => later(at, 15 * DAY_MS + 60_000));
  expect(await holds(token)).toBe(false);
});

it('open a link for so many days; where it was opened before, it leads on', async () => {
  await rules({ linkDays: 7 });
  const at = now();
  const { token: link } = await issueLink(stage.practitioner, patientId);
  setClock(() => later(at, 7 * DAY_MS - 60_000));
  const { device: token } = await openLink(link);
  setClock(() => later(at, 7 * DAY_MS + 60_000));
  await expect(openLink(link)).rejects.toMatchObject({ status: 401 });
  await expect(openLinkHere(link, null)).rejects.toMatchObject({ status: 401 });
  const found = await patientByDevice(hashToken(token), now());
  if (!found) throw new Error('the device does not hold');
  const here = patientHereOf(found, hashToken(token));
  expect(await openLinkHere(link, here)).toBeNull();
  // On somebody else's phone it opens nothing of theirs, and an ended one opens nothing anywhere.
  const other = await device(
    stage.practitioner,
    await makePatient(stage.practitioner, 'Somebody Else'),
  );
  await expect(openLinkHere(link, other)).rejects.toMatchObject({ status: 401 });
  await issueLink(stage.practitioner, patientId);
  await expect(openLinkHere(link, here)).rejects.toMatchObject({ status: 401 });
});

it('show the clinic’s notice first, once on each', async () => {
  const here = async (token: string) => {
    const found = await patientByDevice(hashToken(token), now());
    if (!found) throw new Error('the device does not hold');
    return patientHereOf(found, hashToken(token));
  };
  await rules({});
  const { token } = await device(stage.practitioner, patientId);
  expect(await noticeOf(await here(token))).toBeNull();
  await noticeWasRead(await here(token));
  await rules({ privacyText: 'We keep what you tell us.\n\nAsk us\nat any time.' });
  expect(await noticeOf(await here(token))).toEqual({
    clinic: 'harbour',
    paragraphs: ['We keep what you tell us.', 'Ask us\nat any time.'],
    first: true,
  });
  await noticeWasRead(await here(token));
  expect((await noticeOf(await here(token)))?.first).toBe(false);
  const [event] = await auditOf(stage.lead.clinicId, patientId);
  expect(event).toMatchObject({ verb: 'read the notice on a device of', actorKind: 'patient' });
  // Pressed twice, it is written once.
  await noticeWasRead(await here(token));
  expect((await auditOf(stage.lead.clinicId, patientId))[0]?.id).toBe(event?.id);
});
