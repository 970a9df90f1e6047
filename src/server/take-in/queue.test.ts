import { MOST_EVENTS_TOGETHER, MOST_TOGETHER, nextOf } from './queue';

/** Somebody who waits with so many events. */
const waits = (patient: string, events = 1, clinicId = 'tide') =>
  ({
    post: { teller: { patient: { id: patient, clinicId } }, coming: { events: Array(events) } },
    done: () => undefined,
    failed: () => undefined,
  }) as unknown as Parameters<typeof nextOf>[0][number];

const taken = (list: Parameters<typeof nextOf>[0]) =>
  nextOf(list).map(({ post }) => post.teller.patient.id);

it('takes nobody where nobody waits', () => {
  expect(taken([])).toEqual([]);
});

it('takes each patient once, and leaves the others in their order', () => {
  const list = [waits('a'), waits('b'), waits('a'), waits('c')];
  expect(taken(list)).toEqual(['a', 'b', 'c']);
  expect(taken(list)).toEqual(['a']);
  expect(list).toEqual([]);
});

it('takes those of the first one’s clinic', () => {
  const list = [waits('a'), waits('b', 1, 'reed'), waits('c')];
  expect(taken(list)).toEqual(['a', 'c']);
  expect(taken(list)).toEqual(['b']);
});

it('takes so many posts, and so many events, and a large one alone', () => {
  const many = Array.from({ length: MOST_TOGETHER + 1 }, (_, index) => waits(`p${index}`));
  expect(taken(many)).toHaveLength(MOST_TOGETHER);
  const large = [waits('a', MOST_EVENTS_TOGETHER + 1), waits('b'), waits('c', 2)];
  expect(taken(large)).toEqual(['a']);
  expect(taken(large)).toEqual(['b', 'c']);
});
