import { WORDED } from '@/catalogue/wording';
import { asLine, digest } from '../../../tests/support/worked';
import { exerciseDraft } from '../records';
import {
  MOST_IMPORTED,
  type PatientPack,
  dayOfPack,
  exerciseFromRow,
  exerciseRow,
  readExercises,
  shownPack,
} from '.';

it('every shipped exercise as a row, and back', () => {
  expect(
    WORDED.all.map((exercise) => {
      const row = exerciseRow(exerciseDraft(exercise));
      const { drafts, problems } = readExercises([row], 2);
      return asLine(
        exercise.id,
        digest(row),
        digest(exerciseFromRow(row)),
        drafts.length,
        problems,
      );
    }),
  ).toMatchSnapshot();
});

it('rows people write', () => {
  const [exercise] = WORDED.all;
  if (!exercise) throw new Error('no exercise');
  const row = exerciseRow(exerciseDraft(exercise));
  const changes = [
    { sided: 'TRUE', effort: 'x' },
    { sided: '1', effort: 'no' },
    { rung: '' },
    { rung: 'two' },
    { steps: ' one \n\n two | three ' },
    { faults: 'chin pokes -> nod | no fix' },
    { props: 'pad : folded towel = less give , pillow = soft | wall' },
    { props: 'pad:towel' },
    { usualDose: '3x' },
    { name: '' },
    { family: 'Nowhere' },
  ];
  expect(
    changes.map((change) =>
      asLine(
        change,
        exerciseFromRow({ ...row, ...change }),
        readExercises([{ ...row, ...change }], 5).problems,
      ),
    ),
  ).toMatchSnapshot();
  expect(exerciseFromRow({})).toMatchSnapshot();
  expect(readExercises([null, 5, {}], 1).problems).toMatchSnapshot();
  const many = (count: number) =>
    Array.from({ length: count }, (_, i) => ({ ...row, name: `n${i}` }));
  expect([
    readExercises(many(MOST_IMPORTED), 1).drafts.length,
    readExercises(many(MOST_IMPORTED + 1), 1).problems,
  ]).toMatchSnapshot();
});

it('the first screen of a pack', () => {
  const line = (lineage: string) => ({
    lineage,
    name: lineage,
    words: '',
    share: 0,
    picture: null,
    steps: ['x'],
  });
  const day = (date: string, lines: number[], extra: number[] | null) => ({
    date,
    sessions: [{ key: 's', lines }],
    extra: extra && { key: 'e', lines: extra },
  });
  const pack = (first: ReturnType<typeof day>) =>
    ({
      format: 3,
      lines: ['a', 'b', 'c', 'd'].map(line),
      days: [first, day('2026-11-28', [3], null)],
      texts: { a: 'b' },
    }) as unknown as PatientPack;
  expect(
    [
      day('2026-11-27', [0], null),
      day('2026-11-27', [], null),
      day('2026-11-27', [1], [2]),
      day('2026-11-27', [2, 0], [1]),
    ].map((first) => shownPack(pack(first))),
  ).toMatchSnapshot();
  expect([
    dayOfPack(pack(day('2026-11-27', [], null)), '2026-11-28')?.date,
    dayOfPack(pack(day('2026-11-27', [], null)), '2026-12-28'),
  ]).toMatchSnapshot();
});
