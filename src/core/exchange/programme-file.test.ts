import fc from 'fast-check';
import { WORDED } from '@/catalogue/wording';
import { exerciseDraft } from '../records';
import { type ProgrammeToShare, programmeFileText, readProgrammeFile } from '.';

/** Programmes as files: what is written is read again; what is wrong is told line by line. */
const pattern = WORDED.byId('wall-press');
if (!pattern) throw new Error('the catalogue has changed');
const own = { ...exerciseDraft(pattern), name: 'Sail hauling' };

const programme: ProgrammeToShare = {
  name: 'Quay week',
  notes: {
    about: 'Three lines.',
    forWhom: 'Sailmakers.',
    notFor: '',
    cautions: ['Keep breathing.'],
  },
  rounds: 2,
  lines: [
    {
      id: 'tuck-lying',
      exercise: 'Tuck lying down',
      dose: '10x10s gap 5s daily',
      school: { id: 'lengthen', settings: { holds: [], tenRepMaximum: null, unit: 'kg' } },
      session: 'morning',
    },
    { id: null, exercise: 'Sail hauling', dose: '3x10 daily', school: null, session: null },
  ],
  exercises: [own],
};
const read = (change: object = {}) =>
  readProgrammeFile(JSON.stringify({ ...JSON.parse(programmeFileText(programme)), ...change }));
const problemsOf = (change: object) => {
  const found = read(change);
  return found.ok ? [] : found.problems;
};

it('reads again what it wrote', () => {
  const found = readProgrammeFile(programmeFileText(programme));
  expect(found.ok && found.file).toMatchObject(programme);
});

it('reads a file that begins with a byte order mark', () => {
  expect(readProgrammeFile(`\uFEFF${programmeFileText(programme)}`).ok).toBe(true);
});

it.each<[string, object, string]>([
  ['of another kind', { format: 'recipe' }, 'format: This is not a file of a programme.'],
  [
    'of a newer form',
    { version: 2 },
    'version: This file is of a newer form than this installation reads. Update it first.',
  ],
  ['without a line', { lines: [] }, 'lines: A programme has at least one exercise.'],
  ['gone through too often', { rounds: 9 }, 'rounds: At most five rounds.'],
  [
    'whose exercise stayed at home',
    { exercises: [] },
    'Line 2: the exercise “Sail hauling” does not come along with the file.',
  ],
  [
    'with two exercises of one name',
    { exercises: [own, { ...own, name: 'SAIL hauling' }] },
    'Two of the exercises that come along have one name.',
  ],
  [
    'with a wrong exercise',
    { exercises: [{ ...own, rung: 0 }] },
    'Exercise 1, rung: The first step is 1.',
  ],
])('refuses one %s', (_, change, say) => expect(problemsOf(change)).toContain(say));

it('says which dose cannot be read, and where', () => {
  const [first, ...rest] = programme.lines;
  const problems = problemsOf({ lines: [{ ...first, dose: 'ten of them' }, ...rest] });
  expect(problems).toHaveLength(1);
  expect(problems[0]).toMatch(/^Line 1, Tuck lying down: the dose, character 1: /);
});

it('never throws, whatever the text', () => {
  expect(readProgrammeFile('not json').ok).toBe(false);
  fc.assert(fc.property(fc.json(), (text) => expect(readProgrammeFile(text).ok).toBe(false)));
});
