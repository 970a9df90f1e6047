import { type Saying, speakThrough, takeSayings, toast, whenUnsaid } from './toast';

/** Who speaks, and what it has said. */
function speaking() {
  const said: Saying[] = [];
  return { said, silent: speakThrough((saying) => said.push(saying)) };
}

afterEach(() => {
  takeSayings();
});

it('says at once through who speaks, with what can be done about it', () => {
  const { said, silent } = speaking();
  const action = { label: 'Undo', onClick: () => undefined };
  toast('Removed.', { action });
  toast.error('Not kept.');
  silent();
  expect(said).toEqual([
    { kind: 'done', say: 'Removed.', action },
    { kind: 'error', say: 'Not kept.' },
  ]);
});

it('loses nothing that was said before, in its order, and says it once', () => {
  toast('One.');
  toast.error('Two.');
  const first = speaking();
  toast('Three.');
  first.silent();
  expect(first.said.map(({ say }) => say)).toEqual(['One.', 'Two.', 'Three.']);
  toast('Four.');
  const second = speaking();
  second.silent();
  expect(second.said.map(({ say }) => say)).toEqual(['Four.']);
});

it('tells that something is unsaid: what comes, and what was there already', () => {
  let told = 0;
  const quiet = whenUnsaid(() => (told += 1));
  expect(told).toBe(0);
  toast('One.');
  expect(told).toBe(1);
  quiet();
  toast('Two.');
  expect(told).toBe(1);
  whenUnsaid(() => (told += 1))();
  expect(told).toBe(2);
  expect(takeSayings().map(({ say }) => say)).toEqual(['One.', 'Two.']);
  expect(takeSayings()).toEqual([]);
});

it('keeps speaking through the newest, whoever falls silent before', () => {
  const first = speaking();
  const second = speaking();
  first.silent();
  toast('One.');
  second.silent();
  expect([first.said, second.said.map(({ say }) => say)]).toEqual([[], ['One.']]);
});
