import { ALIASES, EXERCISES } from '@/catalogue';
import { exerciseFinder } from './exercise-finder';

const find = exerciseFinder(EXERCISES, ALIASES, new Map());
/** Beginnings, whole names, other names, words in another order, many and misspelt words. */
const TYPED = [
  '',
  'c',
  'ch',
  'chi',
  'chin tuck',
  'tuck chin',
  'tucks',
  'lying tuck',
  'the tuck in lying',
  'nod',
  'side bend',
  'bend side',
  'row',
  'rows',
  'band row',
  'stretch',
  'streching',
  'stretching',
  'neck stretching',
  'tucking',
  'nodding',
  'turning',
  'lying',
  'sling',
  'isometrik',
  'pelvic tilt',
  'bridges',
  'nerve',
  'median',
  'medain',
  'cat camel',
  'posture',
  'blades together',
  'upper trapezius',
  'trapezus',
  'neck',
  'nek',
  'extension',
  'extenson',
  'wall',
  'walll',
  'squat',
  'hip',
  'zzz',
];

it('finds the same exercises for what is typed, in the same order', () => {
  expect(
    TYPED.map((typed) => {
      const { exercises, guessed } = find(typed, 6);
      return `${typed}${guessed ? ' (guessed)' : ''}: ${exercises.map(({ id }) => id).join(', ')}`;
    }),
  ).toMatchSnapshot();
});

it('puts what is called so before what begins so, by its own name before a common one', () => {
  const [one, other, third] = EXERCISES;
  if (!one || !other || !third) throw new Error('no exercises');
  const named = exerciseFinder(
    [
      { ...one, id: 'common', name: 'Something else' },
      { ...other, id: 'begins', name: 'Tidal bow long' },
      { ...third, id: 'whole', name: 'Tidal bow' },
    ],
    { common: ['tidal bow wide'] },
    new Map(),
  );
  expect(named('tidal bow', 3).exercises.map(({ id }) => id)).toEqual([
    'whole',
    'begins',
    'common',
  ]);
});
