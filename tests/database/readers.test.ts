import { STORIES } from '../../scripts/demo/stories';
import { rmSync } from 'node:fs';
import { instantAt } from '@/core/schedule';
import { addDays, dateRange, localDate } from '@/core/units';
import { type Patient, closeDatabase, patientById } from '@/db';
import type { PatientHere } from '@/server/access';
import { setClock } from '@/server/clock';
import { bandsOf } from '@/server/desk/bands';
import { catalogueFor, exportExercises } from '@/server/desk/exercises';
import { stairsOf } from '@/server/desk/stairs';
import { templateList } from '@/server/desk/templates';
import { pastDecisions } from '@/server/follow/decided';
import { fileHeader } from '@/server/follow/file-header';
import { proposalsOf, recordOf, shownProposals } from '@/server/follow/proposals';
import { reviewOf } from '@/server/follow/review';
import { followOf } from '@/server/follow/strips';
import { morningFactsOf } from '@/server/follow/triage';
import { morningList } from '@/server/morning-list';
import { patientPack } from '@/server/patient-pack';
import { askedOf } from '@/server/patient-questions';
import { calendarOf } from '@/server/patient/calendar';
import { layoutOf } from '@/server/patient/day-moments';
import { outboxOf, planReminders, sendDue } from '@/server/patient/outbox';
import { progressOf } from '@/server/patient/progress';
import { settingsOf } from '@/server/patient/settings';
import { deskOf, suggestedOf } from '@/server/plan';
import { handoutOf } from '@/server/visit/handout';
import { measureStep, photoStep } from '@/server/visit/measure-step';
import { noteStep } from '@/server/visit/note';
import { screenStep } from '@/server/visit/screen-step';
import { teachStep } from '@/server/visit/teaching';
import { findingList } from '@/server/visit/findings';
import { live } from '../../scripts/demo/simulate';
import { DAYS } from '../../scripts/demo/world';
import { ZONE, device, makeClinic, member, minute, useDatabase } from '../support/clinic';
import { temporaryFolder } from '../support/server';
import { namer } from '../support/tables';
import { digest } from '../support/worked';

/**
 * What every page and the phone read of some lived stories, kept beside this file: long parts as
 * their hash. It changes only on purpose.
 */
const TODAY = localDate('2026-11-23');
const DATES = dateRange(addDays(TODAY, 1 - DAYS), TODAY);
const folder = temporaryFolder('readers');
const lived: { name: string; patient: Patient; here: PatientHere }[] = [];
let clinicId = '';
let emails: Awaited<ReturnType<typeof makeClinic>>['emails'];

beforeAll(async () => {
  setClock(() => instantAt(ZONE, DATES[0] ?? TODAY, minute(400)));
  await useDatabase(folder);
  ({ id: clinicId, emails } = await makeClinic('tide'));
  const practitioner = () => member(emails.practitioner);
  for (const [index, name] of ['Ansel', 'Bodo', 'Nessa'].entries()) {
    const story = STORIES.find((one) => one.name.startsWith(name)) ?? STORIES[index];
    if (!story) throw new Error(`no story of ${name}`);
    const { patientId } = await live(story, 7 + index, DATES, practitioner);
    setClock(() => instantAt(ZONE, TODAY, minute(600)));
    const patient = await patientById(clinicId, patientId);
    if (!patient) throw new Error('no patient');
    lived.push({ name: story.name, patient, here: await device(await practitioner(), patientId) });
  }
}, 300_000);

afterAll(() => {
  setClock(null);
  closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

const SHORT = 240;
const named = namer();

function text(value: unknown): string {
  const plain = JSON.stringify(value, (_, one: unknown) =>
    one instanceof Map || one instanceof Set ? [...one] : one,
  );
  return named(plain ?? 'nothing');
}

/** A value part by part: short parts as they are, long ones as their hash. */
function parts(value: unknown): string[] {
  const whole = text(value);
  if (whole.length <= SHORT || typeof value !== 'object' || value === null) return [cut(whole)];
  return Object.entries(value).map(([name, part]) => `${name}: ${cut(text(part))}`);
}
const cut = (whole: string) =>
  whole.length <= SHORT ? whole : `<${whole.length} characters, ${digest(whole)}>`;

type Reader = (of: (typeof lived)[number]) => Promise<unknown>;
const reading = async () => member(emails.practitioner);
const READERS: Readonly<Record<string, Reader>> = {
  header: async ({ patient }) => fileHeader(await reading(), patient),
  screen: async ({ patient }) => screenStep(await reading(), patient, 'Neck'),
  measure: async ({ patient }) => measureStep(await reading(), patient),
  photos: async ({ patient }) => photoStep(await reading(), patient),
  findings: ({ patient }) => findingList(patient),
  plan: async ({ patient }) => deskOf(await reading(), patient),
  suggested: async ({ patient }) =>
    suggestedOf(await deskOf(await reading(), patient), ['late pregnancy']),
  stairs: ({ patient }) => stairsOf(patient),
  teach: async ({ patient }) => teachStep(await reading(), patient),
  handout: ({ patient }) => handoutOf(patient, 'http://clinic.example/open#x'),
  note: async ({ patient }) => noteStep(await reading(), patient, 'Neck'),
  follow: async ({ patient }) => followOf(await reading(), patient),
  proposals: ({ patient }) => proposalsOf(patient),
  'shown proposals': ({ patient }) => shownProposals(patient),
  decided: async ({ patient }) => pastDecisions(patient, await recordOf(patient)),
  review: async ({ patient }) => reviewOf(await reading(), patient),
  'morning facts': async ({ patient }) => morningFactsOf(patient.clinicId, [patient]),
  pack: ({ here }) => patientPack(here),
  asked: ({ patient }) => askedOf(patient),
  'day layout': ({ patient }) => layoutOf(patient),
  progress: ({ here }) => progressOf(here),
  settings: ({ here }) => settingsOf(here),
  calendar: ({ patient }) => calendarOf(patient),
};

it.each(Object.keys(READERS))('%s', async (name) => {
  for (const one of lived) expect(parts(await READERS[name]?.(one))).toMatchSnapshot(one.name);
});

it('the clinic’s lists', async () => {
  const asked = { search: '', practitionerId: null, group: null, page: 1 };
  const by = await reading();
  expect(parts(await morningList(by, asked))).toMatchSnapshot('morning');
  for (const change of [
    { search: 'bo' },
    { search: 'zz' },
    { group: 'decide' as const },
    { group: 'steady' as const, page: 2 },
    { group: 'aside' as const },
    { practitionerId: by.id },
  ])
    expect(parts(await morningList(by, { ...asked, ...change }))).toMatchSnapshot(
      JSON.stringify(Object.keys(change)),
    );
  expect(parts([await bandsOf(clinicId), await templateList(clinicId)])).toMatchSnapshot(
    'bands and templates',
  );
  expect((await catalogueFor(clinicId)).all.length).toMatchSnapshot('catalogue');
  for (const format of ['csv', 'json'] as const)
    expect(digest(await exportExercises(clinicId, format, 'all'))).toMatchSnapshot(format);
});

it('reminders as they become due', async () => {
  const sent: unknown[] = [];
  for (const at of [300, 480, 600, 900, 1200, 1300]) {
    const then = instantAt(ZONE, TODAY, minute(at));
    setClock(() => then);
    await planReminders(then);
    await sendDue(async ({ id, channel, address, text: words }) => {
      sent.push({ id, channel, address, text: words });
      return { outcome: sent.length % 3 === 0 ? 'failed' : 'sent' };
    }, then);
  }
  expect(sent.map((message) => cut(text(message)))).toMatchSnapshot();
  expect(parts(await outboxOf(clinicId))).toMatchSnapshot();
});
