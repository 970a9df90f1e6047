import { randomUUID } from 'node:crypto';
import { findPatients } from '@/server/details';
import { checkRows, importRows } from '@/server/import-patients';
import { makePatient } from '../support/clinic';
import { databaseStage } from '../support/stage';

/** Patients taken in from a table. */
const stage = databaseStage('table');
const found = async (typed: string) =>
  (await findPatients(stage.practitioner, typed)).map(({ name }) => name);

describe('patients from a table', () => {
  const row = (name: string, change: object = {}) => ({
    id: randomUUID(),
    name,
    complaint: 'Neck',
    birthDate: null,
    phone: '+000 555 9',
    email: '',
    clinicNumber: '',
    minutesADay: null,
    another: false,
    ...change,
  });

  it('are looked at one by one, and nothing is written', async () => {
    await makePatient(stage.practitioner, 'Tabled Already');
    const looked = await checkRows(stage.practitioner, [
      row('Tabled New'),
      row('Already Tabled'),
      row('Tabled Wrong', { complaint: '' }),
      row('Tabled Wrong', { phone: 'ask him' }),
      'no row at all',
    ]);
    expect(looked).toEqual([
      { wrong: null, alike: null },
      { wrong: null, alike: 'Tabled Already' },
      { wrong: 'The complaint is missing.', alike: null },
      {
        wrong: 'A telephone number has digits, with blanks, +, brackets or dashes between.',
        alike: null,
      },
      { wrong: expect.any(String) as string, alike: null },
    ]);
    expect(await found('tabled new')).toEqual([]);
  });

  it('are written all or none, and sending them again changes nothing', async () => {
    const rows = [row('Batch One'), row('Batch Two')];
    const send = (all: object[]) =>
      importRows(stage.practitioner, { zone: 'Europe/Lisbon', rows: all } as never);
    expect(await send(rows)).toEqual({ written: 2 });
    expect(await send(rows)).toEqual({ written: 0 });
    expect(await found('batch 5559')).toEqual(['Batch One', 'Batch Two']);
    const more = [row('Batch Three'), row('One Batch')];
    await expect(send(more)).rejects.toMatchObject({ status: 409 });
    expect(await found('batch three')).toEqual([]);
    expect(await send([more[0], { ...more[1], another: true }] as object[])).toEqual({
      written: 2,
    });
    await expect(
      importRows(stage.assistant, { zone: 'Europe/Lisbon', rows: [row('Batch Four')] } as never),
    ).rejects.toMatchObject({ guard: 'access' });
  });
});
