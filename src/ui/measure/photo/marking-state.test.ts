import { MARK_IDS, type Marking, NO_MARKS, marksOf, nudgeMark, placeMark } from './marking-state';

const SIZE = { width: 900, height: 1200 };
const place = (marking: Marking, x: number, y: number) => placeMark(marking, { x, y }, false);

it('hands over to the next mark once one is placed, and stays when it is moved', () => {
  const one = place(NO_MARKS, 10, 20);
  expect([one.points.tragus, one.active]).toEqual([{ x: 10, y: 20 }, 'c7']);
  const moved = place({ ...one, active: 'tragus' }, 30, 40);
  expect([moved.points.tragus, moved.active]).toEqual([{ x: 30, y: 40 }, 'tragus']);
});

it('goes through every mark in order', () => {
  let marking = NO_MARKS;
  for (const [index, id] of MARK_IDS.entries()) {
    expect(marking.active).toBe(id);
    marking = place(marking, 100 + index * 40, 200 + index * 60);
  }
  expect(marking.active).toBe(MARK_IDS.at(-1));
  const marks = marksOf(marking);
  expect(marks?.reference?.kind).toBe('vertical');
  expect(marks?.scale?.millimetres).toBe(200);
});

it('is moved by keys, from the middle where it was not placed, and never out of the picture', () => {
  const first = nudgeMark(NO_MARKS, { x: 1, y: 0 }, SIZE);
  expect([first.points.tragus, first.active]).toEqual([{ x: 451, y: 600 }, 'tragus']);
  const far = nudgeMark(first, { x: 5000, y: -5000 }, SIZE);
  expect(far.points.tragus).toEqual({ x: 900, y: 0 });
});

it('has no measures without ear and C7, no line of one end, and no scale without its length', () => {
  expect(marksOf(place(NO_MARKS, 1, 1))).toBeNull();
  const two = place(place(NO_MARKS, 10, 20), 100, 200);
  expect(marksOf(two)).toMatchObject({ shoulder: null, reference: null, scale: null });
  const points = {
    ...two.points,
    lineA: { x: 1, y: 1 },
    scaleA: { x: 1, y: 1 },
    scaleB: { x: 9, y: 9 },
  };
  expect(marksOf({ ...two, points, lengthMm: '' })).toMatchObject({ reference: null, scale: null });
  expect(marksOf({ ...two, points, lengthMm: '150,5' })?.scale?.millimetres).toBe(150.5);
});
