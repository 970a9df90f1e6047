import { parseDose } from '../dose';
import { localDate } from '../units';
import { author, atVisit } from './people';
import { timingOf } from './timing';

const ANCHOR = localDate('2026-11-02');

function timing(line: string) {
  const dose = parseDose(line);
  if (!dose.ok) throw new Error(dose.say);
  return timingOf(dose.value, { line, anchor: ANCHOR, review: localDate('2026-12-01') });
}

describe('a dose in FHIR’s Timing', () => {
  it.each([
    ['10x10s', { frequency: 1, period: 1, periodUnit: 'd' }],
    ['10x10s 3/day', { frequency: 3, period: 1, periodUnit: 'd' }],
    ['10x10s 2-3/day', { frequency: 2, frequencyMax: 3, period: 1, periodUnit: 'd' }],
    ['30s every 2h', { frequency: 1, period: 120, periodUnit: 'min' }],
    ['10x10s every other day', { frequency: 1, period: 2, periodUnit: 'd' }],
    ['10x10s 1/day every other day', { frequency: 1, period: 2, periodUnit: 'd' }],
    ['30s every 2h every other day', { frequency: 1, period: 120, periodUnit: 'min' }],
    [
      '10x10s on waking every other day',
      { frequency: 1, period: 1, periodUnit: 'd', when: ['WAKE'] },
    ],
    // Twice on every other day is not once a day: the line in words tells.
    ['10x10s 2/day every other day', { frequency: 2, period: 1, periodUnit: 'd' }],
    ['10x10s mon,thu', { frequency: 1, period: 1, periodUnit: 'd', dayOfWeek: ['mon', 'thu'] }],
    ['10x10s on waking', { frequency: 1, period: 1, periodUnit: 'd', when: ['WAKE'] }],
    ['10x10s before training', { frequency: 1, period: 1, periodUnit: 'd' }],
    ['10x10s as needed', {}],
  ])('%s', (line, repeat) => {
    expect(timing(line)).toEqual({
      repeat: { boundsPeriod: { start: '2026-11-02' }, ...repeat },
      code: { text: line },
    });
  });

  it.each([
    ['10x10s from day 3', '2026-11-04', undefined],
    ['10x10s until 14 days', '2026-11-02', '2026-11-15'],
    ['10x10s until 2026-11-20', '2026-11-02', '2026-11-20'],
    ['10x10s until review', '2026-11-02', '2026-12-01'],
  ])('%s has its first and last day', (line, start, end) => {
    expect(timing(line).repeat?.boundsPeriod).toEqual({ start, ...(end ? { end } : {}) });
  });
});

describe('who wrote it, and where', () => {
  const record = {
    patient: { id: 'p' },
    members: [
      { id: 'a', name: 'Isolde Merrow' },
      { id: 'b', name: 'Tamsin Quay' },
    ],
  } as unknown as Parameters<typeof author>[0];
  it('is a member by their own name, the patient without one, a stranger by reference alone', () => {
    expect(author(record, 'b')).toMatchObject({ display: 'Tamsin Quay' });
    expect(author(record, 'b').reference).toContain('Practitioner');
    expect(author(record, 'p').reference).toContain('Patient');
    expect(author(record, 'p').display).toBeUndefined();
    expect(author(record, 'x').display).toBeUndefined();
  });
  it('names a visit only where there was one', () => {
    expect(atVisit(null)).toEqual({});
    expect(atVisit('v').encounter?.reference).toContain('v');
  });
});
