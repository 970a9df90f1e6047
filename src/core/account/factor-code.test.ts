import { readFactorCode, shownBackupCode } from '.';

it('reads six digits however they are parted', () => {
  for (const typed of ['123456', ' 123 456 ', '123-456'])
    expect(readFactorCode(typed)).toEqual({ kind: 'one-time', code: '123456' });
});

it('reads a backup code as it is shown, in any case', () => {
  const code = 'ABCDEFGHIJKL2345';
  expect(shownBackupCode(code)).toBe('ABCD-EFGH-IJKL-2345');
  for (const typed of [code, shownBackupCode(code), 'abcd efgh ijkl 2345'])
    expect(readFactorCode(typed)).toEqual({ kind: 'backup', code });
});

it('takes nothing else', () => {
  for (const typed of [
    '',
    '12345',
    '1234567',
    'ABCDEFGHIJKL234',
    'ABCDEFGHIJKL23451',
    'ABCDEFGHIJKL2341',
  ])
    expect([typed, readFactorCode(typed)]).toEqual([typed, null]);
});
