import { MeasurementDraft } from '@/core/records';
import { randomUUID } from 'node:crypto';
import type { MeasureKindId } from '@/core/measures';
import {
  type RowDraft,
  changeInWords,
  emptyRow,
  isTouched,
  measurementOf,
  numberIn,
  stepsOf,
  touchedRows,
} from './sheet';

const row = (kind: MeasureKindId, change: Partial<RowDraft>) => ({
  ...emptyRow(kind, randomUUID()),
  ...change,
});
const problem = (kind: MeasureKindId, change: Partial<RowDraft>, side: 'left' | null = null) => {
  const result = MeasurementDraft.safeParse(measurementOf(kind, side, row(kind, change)));
  return result.success ? null : result.error.issues[0]?.message;
};

it('reads numbers as people type them', () => {
  expect([numberIn('12,5'), numberIn(' 7 '), numberIn('x'), numberIn('')]).toEqual([
    12.5,
    7,
    Number.NaN,
    Number.NaN,
  ]);
});

it('leaves an untouched row out, and keeps the order of the visit', () => {
  expect(isTouched(row('neck-turn', {}))).toBe(false);
  const draft = {
    'pain-now': row('pain-now', { trials: ['4'] }),
    'neck-turn left': row('neck-turn', { trials: ['60', '', ''] }),
    'neck-turn right': row('neck-turn', {}),
  };
  expect(touchedRows(draft).map(({ kind, side }) => [kind, side])).toEqual([
    ['neck-turn', 'left'],
    ['pain-now', null],
  ]);
});

it.each<[MeasureKindId, Partial<RowDraft>, string | null]>([
  ['neck-flexion', { trials: ['50', '52', ''] }, null],
  ['neck-flexion', { trials: ['5O', '', ''] }, 'Write a number.'],
  [
    'neck-flexion',
    { trials: ['500', '', ''] },
    'Neck bend forward is between 0 and 180°; 500 is not possible.',
  ],
  ['neck-flexion', { note: 'stiff' }, 'Neck bend forward: no trial yet.'],
  ['wall-gap', { trials: ['-5', '', ''] }, 'Wall gap is between 0 and 250 mm; -5 is not possible.'],
  ['pain-now', { trials: ['4'], painAtEnd: '12' }, 'A score is 0 to 10.'],
  ['step-feel', { fields: { option: 'slides away' } }, null],
  [
    'step-feel',
    { fields: { option: 'nonsense' } },
    'Step at the base of the neck on looking up: choose one of the answers.',
  ],
  [
    'held-from-below',
    { fields: { relaxed: '50', tall: '30' } },
    'The offset with the chest lifted is a number of millimetres.',
  ],
  [
    'wedge-fit',
    { fields: { wedge: '90', ear: '95', shoulder: '1200' } },
    'The height of the shoulder is between 20 and 300 mm.',
  ],
  ['nod-test', { fields: { target: '24', holds: '11' } }, 'Holds are 0 to 10.'],
  [
    'nod-test',
    { fields: { target: '25', holds: '5' } },
    'A target is one of 22, 24, 26, 28, 30 mmHg.',
  ],
  [
    'blood-pressure',
    { fields: { systolic: '80', diastolic: '120' } },
    'The upper pressure is higher than the lower one.',
  ],
  [
    'specific-activities',
    { fields: { 'activity 0': 'row', 'score 0': '3' } },
    'Three to five activities, please.',
  ],
  [
    'neck-index',
    { fields: { 'section 0': '3' } },
    'Only 1 of 10 sections are answered: too few for a score.',
  ],
  ['back-index', { fields: { 'section 0': '3' } }, null],
  [
    'nerve-examination',
    { fields: { 'C7 right strength': '4', 'slump sitting left': 'positive' } },
    null,
  ],
  ['nerve-examination', { fields: { 'C7 right strength': '6' } }, 'A score is 0 to 5.'],
  ['limb-symptoms', { fields: { 'front right hand': 'on', 'movement tuck': 'drawing in' } }, null],
])('%s with %j: %p', (kind, change, say) => {
  expect(problem(kind, change)).toBe(say);
});

it('asks for a side where there is one, and refuses one where there is none', () => {
  expect(problem('neck-turn', { trials: ['60'] })).toBe('Neck turn: left or right?');
  expect(problem('neck-flexion', { trials: ['60'] }, 'left')).toBe(
    'Neck bend forward has no side.',
  );
  expect(problem('craniovertebral-angle', { trials: ['60'] })).toBe(
    'This comes from marking a photo.',
  );
});

it('keeps a re-test only with its cue', () => {
  const retest = ['70', '72', ''];
  expect(measurementOf('neck-turn', 'left', row('neck-turn', { retest })).retest).toBeNull();
  expect(
    measurementOf('neck-turn', 'left', row('neck-turn', { retest, cue: 'ear back' })).retest,
  ).toEqual({ cue: 'ear back', trials: [70, 72] });
});

it('shows first what the complaint needs, and everything on one key', () => {
  const kinds = (profile: 'neck' | 'back', all: boolean) =>
    stepsOf(profile, all).flatMap((step) => step.kinds);
  expect(kinds('neck', false)).toContain('neck-turn');
  expect(kinds('neck', false)).not.toContain('side-hold');
  expect(kinds('back', false)).toContain('side-hold');
  expect(kinds('back', true)).toEqual(kinds('neck', true));
});

it('calls a change real only from the detectable change on', () => {
  expect(changeInWords('deep-flexor-hold', 14, 24, {})).toBe('+10 s, within error (16 s)');
  expect(changeInWords('neck-turn', 60, 72, {})).toBe('+12°, real and better (needs 10°)');
  expect(changeInWords('nod-test', 20, 40, {})).toBe('+20, detectable change not known');
  expect(
    changeInWords('neck-turn', 60, 72, { 'neck-turn': { margin: { by: 15 }, source: '' } }),
  ).toContain('within error');
});
