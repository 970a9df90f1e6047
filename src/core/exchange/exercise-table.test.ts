import { WORDED } from '@/catalogue/wording';
import { exerciseDraft } from '../records';
import { readExercises } from '.';

/** Reading a file of exercises: what is wrong is told with the row people count. */
const pattern = WORDED.byId('wall-press');
if (!pattern) throw new Error('the catalogue has changed');
const draft = (name: string) => ({ ...exerciseDraft(pattern), name });

it('takes all of a right file, and nothing of one with a wrong row', () => {
  const right = readExercises([draft('One'), draft('Two')], 1);
  expect(right.problems).toEqual([]);
  expect(right.drafts.map(({ name }) => name)).toEqual(['One', 'Two']);
  const wrong = readExercises([draft('One'), { ...draft('Two'), steps: [] }], 2);
  expect(wrong.drafts).toEqual([]);
  expect(wrong.problems).toMatchObject([{ row: 3 }]);
});

it('names a second one of a name, whatever its capitals', () => {
  const { drafts, problems } = readExercises([draft('One'), draft('Two'), draft('oNE')], 1);
  expect(drafts).toEqual([]);
  expect(problems).toEqual([{ row: 3, say: 'name: “oNE” stands there twice.' }]);
});

it('says that a file is empty, and how many are the most', () => {
  expect(readExercises([], 2).problems).toEqual([{ row: 2, say: 'There is no exercise in it.' }]);
});
