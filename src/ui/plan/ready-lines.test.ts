import { EXERCISES } from '@/catalogue';
import { READY_PROGRAMMES } from '@/catalogue/programmes';
import { lineOf } from './desk-reading';
import { readyLines } from './ready-lines';

const anybody = { props: null, cannot: [], precautions: [] };

it('puts a ready programme down line by line, each under its school', () => {
  for (const programme of READY_PROGRAMMES) {
    const put = readyLines(programme.id, EXERCISES, anybody);
    expect(put?.programme).toBe(programme);
    expect(
      put?.lines.map(({ exerciseId, dose, school }) => [exerciseId, dose, school?.id ?? null]),
    ).toEqual(programme.lines.map(({ exerciseId, dose, school }) => [exerciseId, dose, school]));
    expect(new Set(put?.lines.map(({ uid }) => uid)).size).toBe(programme.lines.length);
  }
});

it('tells which of its lines are closed, by the names they have on the desk', () => {
  const put = readyLines('ten-by-ten', EXERCISES, { ...anybody, cannot: ['lying'] });
  const closed = put?.closed ?? [];
  expect(closed.length).toBeGreaterThan(0);
  for (const { uid, closed: because } of closed) {
    expect(put?.lines.some((line) => line.uid === uid)).toBe(true);
    expect(because.join()).toContain('cannot take the position');
  }
});

it('knows no programme that there is not', () => {
  expect(readyLines('no-such-programme', EXERCISES, anybody)).toBeNull();
});

it('writes a suggestion on the side that its finding asks for', () => {
  const sided = EXERCISES.find(({ id }) => id === 'side-neck-stretch');
  if (!sided) throw new Error('the catalogue has no side stretch');
  expect(lineOf(sided, { side: 'left' }).dose).toContain('left');
  expect(lineOf(sided, { side: 'right' }).dose).toContain('right');
  expect(lineOf(sided, { side: null })).toMatchObject({ exerciseId: sided.id, school: null });
});
