import { passwordFault } from '.';

const WHO = { name: 'Maren Tollivar', email: 'maren@ebbholm.example' };
const fault = (password: string, common: readonly string[] = []) =>
  passwordFault(password, WHO, (one) => common.includes(one));

it('refuses what is tried first, whatever its case and its stops', () => {
  expect(fault('Password123', ['password123'])).toContain('tried first');
  expect(fault('pass-word-123', ['password123'])).toContain('tried first');
});

it('refuses one letter over and over', () => {
  expect(fault('aaaaaaaaaaaa')).toContain('repeats');
  expect(fault('ababababab')).toContain('repeats');
  expect(fault('abcabcabcabc')).toContain('repeats');
  expect(fault('abcdabcdabcd')).toBeNull();
});

it('refuses the member’s own name and address, and little more', () => {
  for (const own of ['Maren Tollivar', 'tollivar2026', 'maren@ebbholm', 'ebbholm.maren.1'])
    expect([own, fault(own)]).toEqual([own, expect.stringContaining('name or address')]);
  // A name in a long sentence is no name alone.
  expect(fault('maren rows out at low tide')).toBeNull();
});

it('takes any other, of whatever letters', () => {
  for (const fine of [
    'low tide at seven',
    'корабль у причала',
    '四つの言葉と灯台の光を見る',
    'x7-qp!vbn2@k',
  ])
    expect([fine, fault(fine)]).toEqual([fine, null]);
});

it('takes a part of a name for the member’s own from four letters on', () => {
  const withName = (name: string) =>
    passwordFault('quay-quay-12', { name, email: 'x@y.example' }, () => false);
  expect(withName('Tam Quay')).toContain('little more than your name');
  expect(withName('Tam Qua')).toBeNull();
});
