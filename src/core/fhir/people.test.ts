import { encounters } from './people';

type Asked = Parameters<typeof encounters>[0];
const visit = (id: string) => ({ id, episodeId: 'episode', localDate: '2026-11-02' });
const way = (visitId: string | null, body: unknown, kind = 'visit-way') => ({
  kind,
  visitId,
  body,
});
const told = (...entries: readonly object[]) =>
  encounters({
    patient: { id: 'patient' },
    visits: [visit('first'), visit('second')],
    entries,
  } as unknown as Asked).map((one) => [one.id, one.class?.code, one.type?.[0]?.text]);

describe('a visit', () => {
  it('was in the room where nobody said else', () => {
    const inTheRoom = [
      ['first', 'AMB', 'in the room'],
      ['second', 'AMB', 'in the room'],
    ];
    expect(told()).toEqual(inTheRoom);
    // Another kind of entry, one of no visit, and one that cannot be read say nothing of it.
    expect(
      told(
        way('first', { way: 'phone' }, 'note'),
        way(null, { way: 'phone' }),
        way('first', { way: 'by pigeon' }),
      ),
    ).toEqual(inTheRoom);
  });

  it('was as the newest word on it says', () => {
    expect(told(way('second', { way: 'video' }), way('second', { way: 'phone' }))).toEqual([
      ['first', 'AMB', 'in the room'],
      ['second', 'VR', 'phone'],
    ]);
  });
});
