import {
  AlreadyThere,
  DatabaseFailure,
  GuardRefused,
  Unreadable,
  cleanError,
  isBusy,
} from './errors';

describe('what the database throws', () => {
  it('passes as it is once it is clean', () => {
    const clean = [
      new DatabaseFailure('busy', 'SQLITE_FULL'),
      new GuardRefused('day'),
      new AlreadyThere(),
      new Unreadable('a measurement', null),
    ];
    for (const error of clean) expect(cleanError(error)).toBe(error);
  });

  it('is known however deep the driver wrapped it', () => {
    const wrapped = (text: string) => new Error('failed', { cause: new Error(text) });
    expect(cleanError(wrapped('guard refused: room'))).toEqual(new GuardRefused('room'));
    expect(cleanError(wrapped('UNIQUE constraint failed: patient.id'))).toBeInstanceOf(
      AlreadyThere,
    );
    expect(cleanError(wrapped('SQLITE_CONSTRAINT_PRIMARYKEY'))).toBeInstanceOf(AlreadyThere);
    expect(isBusy(wrapped('database is locked'))).toBe(true);
    expect(isBusy(wrapped('SQLITE_BUSY'))).toBe(true);
    expect(isBusy(wrapped('disk is full'))).toBe(false);
    expect(cleanError(wrapped('SQLITE_LOCKED: words of a patient'))).toMatchObject({
      kind: 'busy',
      code: 'SQLITE_LOCKED',
      message: 'database busy (SQLITE_LOCKED)',
    });
    expect(cleanError(wrapped('words of a patient'))).toMatchObject({
      kind: 'failed',
      code: 'unknown',
      message: 'database failed (unknown)',
    });
  });
});
