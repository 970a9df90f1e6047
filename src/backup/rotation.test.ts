import { backupName, madeAt, outlived } from './rotation';

const DAY = 86_400_000;
const END = Date.parse('2026-11-28T02:30:00Z');

describe('a backup’s name', () => {
  it('says when it was made, and is read back', () => {
    expect(backupName(END)).toBe('dry-lantern-20261128T023000Z.dlbackup');
    expect(madeAt(backupName(END))).toBe(END);
    for (const other of ['dry-lantern.db', 'notes.txt', 'dry-lantern-20261328T023000Z.dlbackup'])
      expect(madeAt(other)).toBeNull();
  });
});

describe('which backups have outlived their use', () => {
  it('leaves 7 days, 4 weeks and 12 months, the newest of each', () => {
    const names = Array.from({ length: 500 }, (_, ago) => backupName(END - ago * DAY));
    const gone = new Set(outlived(names));
    const left = names.filter((name) => !gone.has(name)).map((name) => name.slice(12, 20));
    expect(left).toEqual([
      '20261128',
      '20261127',
      '20261126',
      '20261125',
      '20261124',
      '20261123',
      '20261122',
      // Sundays of the weeks before, the newest of each.
      '20261115',
      '20261108',
      '20261031',
      '20260930',
      '20260831',
      '20260731',
      '20260630',
      '20260531',
      '20260430',
      '20260331',
      '20260228',
      '20260131',
      '20251231',
    ]);
  });

  it('counts days that have one, so that a machine that was off loses none', () => {
    const names = [0, 40, 80].map((ago) => backupName(END - ago * DAY));
    expect(outlived(names)).toEqual([]);
  });

  it('keeps the newest of a day, and touches nothing else', () => {
    const [early, late] = [backupName(END - 3_600_000), backupName(END)];
    expect(outlived([early, late, 'holiday.jpg'])).toEqual([early]);
    expect(outlived([])).toEqual([]);
  });
});
