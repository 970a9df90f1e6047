import { Problem } from '../problem';
import { endText, readAsked, readEnd } from './asked';

/** Names and prefixes are FHIR R4's (hl7.org/fhir/R4/search.html); how many a page holds is ours. */
const asked = (
  query: string,
  type: Parameters<typeof readAsked>[0] = 'Observation',
  posted = false,
) => readAsked(type, new URLSearchParams(query), posted);
const ID = '0b4ad5a2-5b55-4a39-9f0e-6f2c6e0c1d11';
const refusal = (job: () => unknown) => {
  try {
    job();
  } catch (error) {
    if (error instanceof Problem) return [error.status, error.say] as const;
    throw error;
  }
  return null;
};

it('asks for a usual page of everything where nothing is said', () => {
  expect(asked('')).toEqual({
    count: 50,
    after: null,
    id: null,
    words: '',
    birthDate: null,
    patient: null,
    days: { from: null, to: null },
  });
});

it.each([
  ['1', 1],
  ['200', 200],
  ['201', 200],
  ['100000', 200],
])('holds for _count=%s so many: %d', (text, count) => {
  expect(asked(`_count=${text}`).count).toBe(count);
});

it.each(['0', '-1', '1.5', 'many', 'NaN'])('refuses _count=%s as a wrong question', (text) => {
  expect(refusal(() => asked(`_count=${text}`))?.[0]).toBe(400);
});

it('refuses what is not known rather than leaving it out', () => {
  expect(refusal(() => asked('colour=red'))).toEqual([
    400,
    'Observation cannot be searched by “colour”.',
  ]);
  expect(refusal(() => asked(`${'x'.repeat(60)}=1`))?.[1]).toContain(`“${'x'.repeat(40)}”`);
  // A patient is searched for by itself, not by whose it is.
  expect(refusal(() => asked('subject=a', 'Patient'))?.[0]).toBe(400);
});

it.each(['name=Wrasse', 'identifier=17', 'birthdate=1980-01-02'])(
  'takes %s only where it stands in no address',
  (query) => {
    expect(refusal(() => asked(query, 'Patient'))?.[0]).toBe(400);
    expect(refusal(() => asked(query, 'Patient', true))).toBeNull();
  },
);

it('reads names, numbers without their system, and days of birth', () => {
  expect(asked('name=Wrasse', 'Patient', true).words).toBe('Wrasse');
  expect(asked('identifier=urn:clinic|17', 'Patient', true).words).toBe('17');
  expect(asked('identifier=17', 'Patient', true).words).toBe('17');
  expect(asked('birthdate=1980-01-02', 'Patient', true).birthDate).toBe('1980-01-02');
  expect(refusal(() => asked('birthdate=1980-13-02', 'Patient', true))?.[0]).toBe(400);
});

it('knows a patient by either name, with or without the word before it', () => {
  for (const query of [
    `patient=${ID}`,
    `subject=${ID}`,
    `patient=Patient/${ID}`,
    `subject=Patient/${ID}`,
  ])
    expect(asked(query).patient).toBe(ID);
  expect(refusal(() => asked('patient=../p'))?.[0]).toBe(400);
});

it.each([
  ['date=2026-11-03', '2026-11-03', '2026-11-03'],
  ['date=eq2026-11-03', '2026-11-03', '2026-11-03'],
  ['date=ge2026-11-03', '2026-11-03', null],
  ['date=gt2026-11-03', '2026-11-04', null],
  ['date=le2026-11-03', null, '2026-11-03'],
  ['date=lt2026-11-03', null, '2026-11-02'],
  ['date=ge2026-11-03&date=lt2026-11-10', '2026-11-03', '2026-11-09'],
  [
    'date=ge2026-11-03&date=ge2026-11-05&date=le2026-11-20&date=le2026-11-10',
    '2026-11-05',
    '2026-11-10',
  ],
  [
    'date=ge2026-11-05&date=ge2026-11-03&date=le2026-11-10&date=le2026-11-20',
    '2026-11-05',
    '2026-11-10',
  ],
])('reads %s as the days from %s to %s', (query, from, to) => {
  expect(asked(query).days).toEqual({ from, to });
});

it('refuses a day that is none', () => {
  for (const text of ['ne2026-11-03', '2026-02-30', 'yesterday', ''])
    expect(refusal(() => asked(`date=${text}`))?.[0]).toBe(400);
});

it('finds the end of a page again as it was told, and nothing else', () => {
  const end = { on: '2026-11-03', id: ID } as never;
  expect(readEnd(endText(end))).toEqual(end);
  expect(readEnd(null)).toBeNull();
  for (const text of ['', '2026-11-03', '2026-11-03~', `soon~${ID}`])
    expect(refusal(() => readEnd(text))?.[0]).toBe(400);
});
