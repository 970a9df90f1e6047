import { KIND_IDS, kindOf } from '../measures';
import { calledThere, measureThere } from './measured';
import { readForeign } from './read';
import type { ObservationResource } from './resources';

const LOINC = 'http://loinc.org';
const patient = (more: object = {}) => ({
  resourceType: 'Patient',
  id: 'p1',
  name: [{ use: 'official', family: 'Marlow', given: ['Linnet', 'A.'] }],
  ...more,
});
const observation = (more: object = {}) => ({
  resourceType: 'Observation',
  id: 'o1',
  status: 'final',
  code: { text: 'Pain now' },
  subject: { reference: 'Patient/p1' },
  effectiveDateTime: '2026-03-02',
  valueQuantity: { value: 4 },
  ...more,
});
const bundle = (...resources: object[]) =>
  JSON.stringify({
    resourceType: 'Bundle',
    type: 'collection',
    entry: resources.map((resource) => ({ resource })),
  });
const read = (text: string) => {
  const found = readForeign(text);
  if (!found.ok) throw new Error(found.say);
  return found.record;
};

describe('a patient of another system', () => {
  it('has the name, the birth date and the ways to reach them that pass our own checks', () => {
    const { patient: person } = read(
      JSON.stringify(
        patient({
          birthDate: '1980-02-29',
          gender: 'female',
          identifier: [{ system: 'urn:x', value: 'A-17' }],
          telecom: [
            { system: 'phone', value: '+000 555 1000' },
            { system: 'phone', use: 'old', value: '+000 555 9999' },
            { system: 'phone', value: '+000 555 1000' },
            { system: 'fax', value: '+000 555 3000' },
            { system: 'email', value: 'linnet@example.org' },
          ],
          managingOrganization: { display: 'Hill Clinic' },
        }),
      ),
    );
    expect(person).toEqual({
      id: 'p1',
      name: 'Linnet A. Marlow',
      birthDate: '1980-02-29',
      sex: 'female',
      phones: ['+000 555 1000'],
      email: 'linnet@example.org',
      clinicNumber: 'A-17',
      from: 'Hill Clinic',
    });
  });

  it.each([
    ['half a birth date', { birthDate: '1980-02' }, { birthDate: null }],
    ['a day there never was', { birthDate: '1981-02-29' }, { birthDate: null }],
    ['another gender: references know two', { gender: 'other' }, { sex: null }],
    ['what is no address', { telecom: [{ system: 'email', value: 'none' }] }, { email: '' }],
    [
      'a name longer than a name may be',
      { name: [{ text: 'n'.repeat(201) }] },
      { name: 'n'.repeat(200) },
    ],
    ['a name as one text', { name: [{ text: ' Bodo  Hallimar ' }] }, { name: 'Bodo Hallimar' }],
    [
      'an old name beside the one that is used',
      {
        name: [
          { use: 'old', text: 'Old' },
          { use: 'usual', text: 'Wren' },
        ],
      },
      { name: 'Wren' },
    ],
  ])('%s', (_name, more, wanted) =>
    expect(read(JSON.stringify(patient(more))).patient).toMatchObject(wanted),
  );

  it.each([
    ['no JSON', '<Patient/>', 'no JSON'],
    ['a list', '[]', 'not a resource'],
    ['nobody', bundle(observation()), 'no patient'],
    ['two', bundle(patient(), patient({ id: 'p2' })), '2 patients'],
    ['nobody with a name', bundle(patient({ name: [] })), 'no name'],
    ['endless names', bundle(patient({ name: [{ text: 'x'.repeat(3000) }] })), 'cannot be read'],
    [
      'too much',
      bundle(patient(), ...Array.from({ length: 501 }, (_, id) => observation({ id: `${id}` }))),
      'at most 500',
    ],
  ])('%s is refused', (_name, text, say) => {
    const found = readForeign(text);
    expect(found.ok ? 'taken' : found.say).toContain(say);
  });
});

describe('an observation', () => {
  const measured = (more: object) => measureThere(observation(more) as ObservationResource);
  const turn = { code: { text: 'Neck turn' }, valueQuantity: { value: 62, code: 'deg' } };
  const of = (value: number) => ({ value: { form: 'number', of: value } });

  it.each([
    ['by our name', {}, { kind: 'pain-now', side: null, on: '2026-03-02', ...of(4) }],
    [
      'by a code of LOINC (72514-3, from memory)',
      { code: { coding: [{ system: LOINC, code: '72514-3', display: 'Pain severity' }] } },
      { kind: 'pain-now', ...of(4) },
    ],
    ['with a whole number', { valueQuantity: undefined, valueInteger: 7 }, of(7)],
    [
      'on a side by words',
      { ...turn, bodySite: { text: 'Left side' } },
      { kind: 'neck-turn', side: 'left', ...of(62) },
    ],
    [
      'on a side by a code of SNOMED CT (24028007, from memory)',
      {
        ...turn,
        bodySite: { coding: [{ system: 'http://snomed.info/sct', code: '24028007' }] },
      },
      { side: 'right' },
    ],
    [
      'in centimetres',
      { code: { text: 'wall gap' }, valueQuantity: { value: 3.2, unit: 'cm' } },
      { kind: 'wall-gap', ...of(32) },
    ],
    [
      'in minutes',
      { code: { text: 'Neck extensors, prone hold' }, valueQuantity: { value: 1.5, code: 'min' } },
      of(90),
    ],
    ['at a moment', { effectiveDateTime: '2026-03-02T23:30:00-05:00' }, { on: '2026-03-02' }],
    [
      'over a time',
      { effectiveDateTime: undefined, effectivePeriod: { start: '2026-03-01' } },
      { on: '2026-03-01' },
    ],
    [
      'blood pressure (LOINC 85354-9, 8480-6, 8462-4, from memory)',
      {
        code: { coding: [{ system: LOINC, code: '85354-9' }] },
        valueQuantity: undefined,
        component: [
          {
            code: { coding: [{ system: LOINC, code: '8480-6' }] },
            valueQuantity: { value: 132, code: 'mm[Hg]' },
          },
          {
            code: { coding: [{ system: LOINC, code: '8462-4' }] },
            valueQuantity: { value: 84, code: 'mm[Hg]' },
          },
        ],
      },
      { kind: 'blood-pressure', value: { form: 'pressure', systolic: 132, diastolic: 84 } },
    ],
  ])('is taken %s', (_name, more, wanted) => expect(measured(more)).toMatchObject(wanted));

  it('has at most a hundred parts', () => {
    const part = { code: { text: 'Pain now' }, valueQuantity: { value: 4 } };
    const withParts = (count: number) =>
      readForeign(bundle(patient(), observation({ component: Array(count).fill(part) })));
    expect(withParts(100)).toMatchObject({ ok: true, record: { measures: [{}], left: [] } });
    expect(withParts(101)).not.toMatchObject({ ok: true, record: { measures: [{}], left: [] } });
    const withCodes = (count: number) =>
      readForeign(
        bundle(
          patient(),
          observation({ code: { text: 'Pain now', coding: Array(count).fill({ code: 'x' }) } }),
        ),
      );
    expect(withCodes(50)).toMatchObject({ ok: true, record: { measures: [{}], left: [] } });
    expect(withCodes(51)).not.toMatchObject({ ok: true, record: { measures: [{}], left: [] } });
  });

  it.each([
    ['nobody here knows', { code: { text: 'Body weight' } }, 'no kind of measurement'],
    ['in error there', { status: 'entered-in-error' }, 'does not stand'],
    ['not finished', { status: 'preliminary' }, 'does not stand'],
    ['of a year', { effectiveDateTime: '2026' }, 'no whole day'],
    ['of a day there never was', { effectiveDateTime: '2026-02-30' }, 'no whole day'],
    ['of neither side', turn, 'left or right is not said'],
    // "Not left" is not a side, and no side is read out of a sentence.
    [
      'of a side in a sentence',
      { ...turn, bodySite: { text: 'not the left one' } },
      'left or right',
    ],
    [
      'in another unit',
      { ...turn, bodySite: { text: 'left' }, valueQuantity: { value: 1, code: 'rad' } },
      '“rad”',
    ],
    ['without a unit', { code: { text: 'Wall gap' }, valueQuantity: { value: 30 } }, 'no unit'],
    ['of “more than”', { valueQuantity: { value: 4, comparator: '>' } }, 'not a number'],
    ['without a number', { valueQuantity: undefined }, 'no number'],
    ['that cannot be', { valueQuantity: { value: 14 } }, '10'],
    ['of several scores', { code: { text: 'Neck Disability Index' } }, 'measured anew'],
    ['half a pressure', { code: { text: 'Blood pressure' } }, 'not both there'],
  ])('%s is left out, and it is said why', (_name, more, why) =>
    expect(measured(more)).toMatchObject({ why: expect.stringContaining(why) as string }),
  );

  it('of somebody else, or of nobody, is left out', () => {
    const { measures, left, others } = read(
      bundle(
        patient(),
        observation(),
        observation({ id: 'o2', subject: { reference: 'Patient/p10' } }),
        observation({ id: 'o3', subject: undefined }),
        observation({ id: 'o4', subject: { reference: 'https://there.example/fhir/Patient/p1' } }),
        { resourceType: 'Immunization' },
      ),
    );
    expect(measures.map(({ id }) => id)).toEqual(['o1', 'o4']);
    expect(left.map(({ why }) => why)).toEqual([
      'it is of somebody else',
      'it does not say of whom it is',
    ]);
    expect(others).toEqual({ Immunization: 1 });
  });

  it('is known by every kind of ours that is one number, by its code', () => {
    for (const kind of KIND_IDS.filter((one) => kindOf(one).form === 'trials')) {
      const { range, unit, sided } = kindOf(kind);
      const found = measured({
        code: { coding: [{ system: 'urn:dry-lantern:measure', code: kind }] },
        valueQuantity: { value: range[0], unit },
        ...(sided ? { bodySite: { text: 'right side' } } : {}),
      });
      expect(found).toMatchObject({ kind, ...of(range[0]) });
    }
  });
});

describe('what an observation is called', () => {
  const called = (code: object) => calledThere(observation({ code }) as ObservationResource);
  it('is its own words, else the first of its codes, else that it has none', () => {
    expect(called({ text: 'Pain now', coding: [{ code: 'a' }] })).toBe('Pain now');
    expect(called({ coding: [{ code: 'a' }, { code: 'b' }] })).toBe('a');
    expect(called({})).toBe('an observation without a name');
  });

  it('is read up to two thousand letters', () => {
    const titled = (letters: number) =>
      readForeign(bundle(patient(), observation({ code: { text: 'x'.repeat(letters) } })));
    const kept = (letters: number) => JSON.stringify(titled(letters)).includes('x'.repeat(letters));
    expect([kept(2000), kept(2001)]).toEqual([true, false]);
  });
});
