import { later } from '@/core/schedule';
import { leaseHolder } from '@/db';
import { now, setClock } from '@/server/clock';
import { leased } from '@/server/leases';
import { PERIODS_MS } from '@/server/periods';
import { databaseStage } from '../support/stage';

databaseStage('leases');
afterEach(() => setClock(null));

it('let one process at a time do a piece of work, and every other piece go on', async () => {
  const did: string[] = [];
  let end: () => void = () => undefined;
  const first = leased(
    'outbox',
    () =>
      new Promise<void>((resolve) => {
        did.push('first');
        end = resolve;
      }),
    'one',
  );
  while (did.length === 0) await new Promise((resolve) => setImmediate(resolve));
  const other = async () => {
    did.push('other');
  };
  expect(await leased('outbox', other, 'two')).toBe(false);
  expect(await leased('triage', other, 'two')).toBe(true);
  end();
  expect(await first).toBe(true);
  expect(await leased('outbox', other, 'two')).toBe(true);
  expect(did).toEqual(['first', 'other', 'other']);
});

it('are given back after work that failed, and let others in after a process that died', async () => {
  await expect(leased('seals', () => Promise.reject(new Error('no')), 'one')).rejects.toThrow('no');
  expect(await leaseHolder('seals')).toBeNull();

  const at = now();
  // Killed in the middle: it never comes to its end.
  void leased('backups', () => new Promise(() => undefined), 'killed');
  while ((await leaseHolder('backups')) !== 'killed') await new Promise((r) => setImmediate(r));
  const work = async () => undefined;
  setClock(() => later(at, PERIODS_MS.lease - 1000));
  expect(await leased('backups', work, 'two')).toBe(false);
  setClock(() => later(at, PERIODS_MS.lease + 1000));
  expect(await leased('backups', work, 'two')).toBe(true);
});

it('of a clock that was far ahead hold nothing once it is put right', async () => {
  const at = now();
  setClock(() => later(at, 400 * 86_400_000));
  void leased('outbox', () => new Promise(() => undefined), 'ahead');
  while ((await leaseHolder('outbox')) !== 'ahead') await new Promise((r) => setImmediate(r));
  setClock(() => at);
  expect(await leased('outbox', async () => undefined, 'two')).toBe(true);
});
