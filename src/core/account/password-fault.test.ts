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

it('wants six letters beside the member’s own, and fewer of nobody else', () => {
  const [six, five] = ['qzwxev', 'qzwxe'];
  expect(fault(`tollivar${six}`)).toBeNull();
  expect(fault(`tollivar${five}`)).toContain('little more than your name or address');
  expect(fault(five)).toBeNull();
});

it('knows the whole of an address before its sign, were its parts too short to be told from chance', () => {
  const own = (password: string) =>
    passwordFault(password, { name: 'X', email: 'an.na.lo@example.org' }, () => false);
  expect(own('annalo-1234')).toContain('little more than your name or address');
  expect(own('low tide at seven')).toBeNull();
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
