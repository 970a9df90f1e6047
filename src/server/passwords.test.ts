import { hashPassword, passwordFits } from './passwords';

it('are stored as Argon2id with 19 MiB and two passes, and only the right one fits', async () => {
  const stored = await hashPassword('low tide at seven');
  expect(stored).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
  expect(await passwordFits(stored, 'low tide at seven')).toBe(true);
  expect(await passwordFits(stored, 'low tide at eight')).toBe(false);
  expect(await passwordFits(null, 'low tide at seven')).toBe(false);
  expect(await hashPassword('low tide at seven')).not.toBe(stored);
});
