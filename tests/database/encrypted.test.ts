import { mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { encryptTo, makeBackup, makeKeyFile, restoreBackup, secretFrom } from '@/backup';
import {
  closeDatabase,
  databaseKey,
  databaseUrl,
  patientById,
  prepareDatabase,
  purgeDatabase,
} from '@/db';
import { makeClinic, makePatient, member, useDatabase } from '../support/clinic';
import { temporaryFolder } from '../support/server';

const NAME = 'Quillon Unforgettable Vane';
const folder = temporaryFolder('encrypted');
const place = (name: string) => join(folder, name);
const before = process.env.DATA_DIR;

beforeAll(() => {
  mkdirSync(place('keys'));
  writeFileSync(place('keys/one'), `${'k'.repeat(40)}\n`);
  writeFileSync(place('keys/two'), 'l'.repeat(40));
  writeFileSync(place('keys/short'), 'short');
});
afterEach(() => {
  closeDatabase();
  delete process.env.DATABASE_KEY_FILE;
});
afterAll(() => {
  process.env.DATA_DIR = before;
  rmSync(folder, { recursive: true, force: true });
});

/** Every byte of a folder's files. */
const bytesOf = (name: string) =>
  Buffer.concat(readdirSync(place(name)).map((file) => readFileSync(join(place(name), file))));

async function filled(name: string) {
  await useDatabase(place(name));
  const { emails } = await makeClinic('one');
  const lead = await member(emails.lead);
  return { clinicId: lead.clinicId, patientId: await makePatient(lead, NAME) };
}
const refuses = (say: string) =>
  expect(prepareDatabase({ isNew: false })).rejects.toMatchObject({
    say: expect.stringContaining(say) as string,
  });

it('reads its key from a file of its own, and refuses one that is too short or not there', () => {
  expect(databaseKey({})).toBeUndefined();
  expect(databaseKey({ DATABASE_KEY_FILE: place('keys/one') })).toBe('k'.repeat(40));
  for (const file of ['keys/short', 'keys/none'])
    expect(() => databaseKey({ DATABASE_KEY_FILE: place(file) })).toThrow('start refused');
});

it('keeps every word out of the files, through purge, backup and restore, and opens with its key alone', async () => {
  process.env.DATABASE_KEY_FILE = place('keys/one');
  const { clinicId, patientId } = await filled('locked');
  await purgeDatabase(databaseUrl());
  closeDatabase();
  expect(bytesOf('locked').includes(NAME)).toBe(false);
  expect(bytesOf('locked').includes('CREATE TABLE')).toBe(false);

  makeKeyFile(place('backup-key'));
  const secret = secretFrom({ keyFile: place('backup-key') });
  const { file } = await makeBackup({
    url: databaseUrl(),
    databaseKey: databaseKey(),
    data: place('locked'),
    to: place('backups'),
    secret,
    at: Date.now(),
  });
  const order = { from: file, secret, newest: 9e15, erasures: [] };
  await expect(restoreBackup({ ...order, to: place('nowhere') })).rejects.toMatchObject({
    say: expect.stringContaining('cannot be read') as string,
  });
  await restoreBackup({ ...order, to: place('back'), databaseKey: databaseKey() });
  expect(bytesOf('back').includes(NAME)).toBe(false);
  process.env.DATA_DIR = place('back');
  await prepareDatabase({ isNew: false });
  expect((await patientById(clinicId, patientId))?.name).toBe(NAME);
  closeDatabase();

  process.env.DATABASE_KEY_FILE = place('keys/two');
  await refuses('the key does not fit');
  closeDatabase();
  delete process.env.DATABASE_KEY_FILE;
  await refuses('encrypted or damaged');
});

it('is made of a plain one, which a key alone does not open', async () => {
  const { clinicId, patientId } = await filled('plain');
  closeDatabase();
  expect(bytesOf('plain').includes(NAME)).toBe(true);
  process.env.DATABASE_KEY_FILE = place('keys/one');
  await refuses('not encrypted, but a key is set');
  closeDatabase();
  mkdirSync(place('made'));
  await encryptTo(
    join(place('plain'), 'dry-lantern.db'),
    join(place('made'), 'dry-lantern.db'),
    databaseKey() ?? '',
  );
  expect(bytesOf('made').includes(NAME)).toBe(false);
  process.env.DATA_DIR = place('made');
  await prepareDatabase({ isNew: false });
  expect((await patientById(clinicId, patientId))?.name).toBe(NAME);
});
