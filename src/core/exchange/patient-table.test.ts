import fc from 'fast-check';
import { guessMapping, readDate, readRow, repeatsIn } from './patient-table';

/** Patients from a table of another program. */
describe('columns', () => {
  it.each([
    [
      ['Surname', 'First name', 'DOB', 'Mobile'],
      { name: 0, 'first name': 1, 'birth date': 2, phone: 3 },
    ],
    [['Patient ID', 'Full Name', 'E-Mail'], { 'clinic number': 0, name: 1, 'e-mail': 2 }],
    [['Vorname', 'Nachname', 'Geburtsdatum'], { 'first name': 0, name: 1, 'birth date': 2 }],
    [['Telephone (home)', 'Patient name'], { phone: 0, name: 1 }],
    [['x', 'y'], {}],
    [[], {}],
  ])('%j', (headers, mapping) => {
    expect(guessMapping(headers)).toEqual(mapping);
  });

  it('gives no column to two fields, and names none that is not there', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('Name', 'First name', 'Phone', 'id', 'DOB', '')),
        (names) => {
          const places = Object.values(guessMapping(names));
          expect(new Set(places).size).toBe(places.length);
          for (const at of places) expect(at).toBeLessThan(names.length);
        },
      ),
    );
  });
});

it.each([
  ['1980-04-03', 'day first', '1980-04-03'],
  ['1980-04-03T00:00:00', 'month first', '1980-04-03'],
  ['1980-04-03 (told)', 'day first', '1980-04-03'],
  ['1980-04-03/81', 'day first', null],
  ['1980-02-30', 'day first', null],
  ['3.4.1980', 'day first', '1980-04-03'],
  ['03/04/1980', 'month first', '1980-03-04'],
  ['31/12/1980', 'month first', null],
  ['29-02-2023', 'day first', null],
  ['3.4.80', 'day first', null],
  ['soon', 'day first', null],
  ['', 'day first', null],
] as const)('the date %p, %s, is %p', (text, order, date) => {
  expect(readDate(text, order)).toBe(date);
});

describe('a row', () => {
  const MAPPING = { name: 0, 'first name': 1, 'birth date': 2, phone: 3, 'minutes a day': 4 };
  const read = (...cells: string[]) => readRow(cells, MAPPING, 'day first', 'Neck');

  it('is a patient with what it brings, and the complaint of all where it brings none', () => {
    expect(read(' Brekkel', 'Tomas ', '3.4.1980', '+000 555', '12')).toEqual({
      ok: true,
      patient: {
        name: 'Tomas Brekkel',
        complaint: 'Neck',
        birthDate: '1980-04-03',
        phone: '+000 555',
        email: '',
        clinicNumber: '',
        minutesADay: 12,
      },
    });
    expect(read('Brekkel')).toMatchObject({
      ok: true,
      patient: { birthDate: null, minutesADay: null },
    });
  });

  it.each([
    [['', ''], 'The name is missing.'],
    [['Brekkel', '', '31.31.1980'], '“31.31.1980” is no date that can be read (day first).'],
    [['Brekkel', '', '', '', 'ten'], '“ten” are no whole minutes.'],
  ])('%j is not guessed at', (cells, say) => {
    expect(read(...cells)).toEqual({ ok: false, say });
  });
});

it('a table that names somebody twice is told where', () => {
  const MAPPING = { name: 0, 'birth date': 1 };
  const rows = [
    ['Tomas Brekkel', '1980-01-02'],
    ['Ylva Sandrune'],
    ['brekkel, tomás', ''],
    [''],
    ['Tomas Brekkel', '1981-01-02'],
    ['Ylva Sandrune'],
  ].map((cells) => {
    const read = readRow(cells, MAPPING, 'day first', 'Neck');
    return read.ok ? read.patient : null;
  });
  expect(repeatsIn(rows)).toEqual([null, null, 0, null, 2, 1]);
});
