import { MeasurementDraft } from '@/core/records';
import { randomUUID } from 'node:crypto';
import { type MeasureKindId, PROFILES, type Profile } from '@/core/measures';
import {
  type RowDraft,
  changeInWords,
  emptyRow,
  isTouched,
  measurementOf,
  stepsOf,
  touchedRows,
  wrongIn,
} from './sheet';
import { numberIn } from './typed';

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
  const kinds = (profile: Profile | null, all: boolean) =>
    stepsOf(profile, all).flatMap((step) => step.kinds);
  expect(kinds('neck', false)).toContain('neck-turn');
  expect(kinds('neck', false)).not.toContain('side-hold');
  expect(kinds('back', false)).toContain('side-hold');
  expect(kinds('back', true)).toEqual(kinds('neck', true));
  // Nobody said what it is of: all that comes first for anybody, whatever the complaint's words.
  const first = new Set(PROFILES.flatMap((profile) => kinds(profile, false)));
  expect(new Set(kinds(null, false))).toEqual(first);
  expect(kinds(null, true)).toEqual(kinds('neck', true));
});

it('calls a change real only from the detectable change on', () => {
  expect(changeInWords('deep-flexor-hold', 14, 24, {})).toBe('+10 s, within error (16 s)');
  expect(changeInWords('neck-turn', 60, 72, {})).toBe('+12°, real and better (needs 10°)');
  expect(changeInWords('nod-test', 20, 40, {})).toBe('+20, detectable change not known');
  expect(
    changeInWords('neck-turn', 60, 72, { 'neck-turn': { margin: { by: 15 }, source: '' } }),
  ).toContain('within error');
});

describe('what the server refuses', () => {
  const rows = [
    { kind: 'pain-now', side: null },
    { kind: 'neck-turn', side: 'left' },
  ] as const;
  it('is put to the row and field it is about', () => {
    expect(wrongIn({ say: 'Too much.', at: ['measurements', 1, 'body', 'relaxed'] }, rows)).toEqual(
      {
        say: 'Neck turn left: Too much.',
        key: 'neck-turn left',
        field: 'body.relaxed',
      },
    );
  });
  it('stands above the sheet where it is about none of them', () => {
    expect(wrongIn({ say: 'No.', at: [] }, rows)).toEqual({ say: 'No.', key: '', field: '' });
    expect(wrongIn({ say: 'No.', at: ['measurements', 5, 'kind'] }, rows).key).toBe('');
  });
});

it('reads every form as its schema takes it', () => {
  const records = (kind: MeasureKindId, fields: Record<string, string>) =>
    measurementOf(kind, null, row(kind, { fields })).body;
  expect(records('held-from-below', { relaxed: '50', tall: '30,5', chest: '' })).toEqual({
    form: 'offsets',
    relaxed: 50,
    tall: 30.5,
    chest: Number.NaN,
  });
  expect(records('nod-test', { holds: '6' })).toEqual({ form: 'cuff', target: 22, holds: 6 });
  expect(records('nod-test', { target: '26', holds: '6' })).toEqual({
    form: 'cuff',
    target: 26,
    holds: 6,
  });
  expect(records('blood-pressure', { systolic: '130', diastolic: '80' })).toEqual({
    form: 'pressure',
    systolic: 130,
    diastolic: 80,
  });
  expect(records('neck-index', { 'section 0': '3', 'section 9': ' ' })).toEqual({
    form: 'sections',
    scores: [3, ...Array<null>(9).fill(null)],
  });
  expect(
    records('specific-activities', { 'activity 0': 'row', 'score 0': '4', 'activity 3': ' ' }),
  ).toEqual({ form: 'activities', activities: [{ name: 'row', score: 4 }] });
  expect(
    records('limb-symptoms', {
      'front left hand': 'on',
      'front left elbow': '',
      'movement tuck': 'spreading',
      'movement nothing': 'x',
    }),
  ).toEqual({
    form: 'body',
    regions: ['front left hand'],
    movements: [{ movement: 'tuck', effect: 'spreading' }],
  });
  expect(
    records('nerve-examination', {
      'C6 left strength': '4',
      'C7 right feeling': 'reduced',
      'slump sitting right': 'positive',
      'slump sitting left': 'negative',
    }),
  ).toEqual({
    form: 'nerve',
    levels: [
      { level: 'C6', side: 'left', strength: 4, feeling: null, reflex: null },
      { level: 'C7', side: 'right', strength: null, feeling: 'reduced', reflex: null },
    ],
    tension: [
      { test: 'slump sitting', side: 'left', positive: false },
      { test: 'slump sitting', side: 'right', positive: true },
    ],
  });
  expect(records('pain-now', {})).toBeNull();
});
