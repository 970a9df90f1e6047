import { createClient } from '@libsql/client';
import { mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { fileOfAddress, plainFileOf } from './file-address';

describe('the file that an address names', () => {
  it.each([
    ['file:data/dry-lantern.db', 'data/dry-lantern.db'],
    ['file:/srv/a%20b.db', '/srv/a b.db'],
    ['file:///srv/a.db', '/srv/a.db'],
    ['file://localhost/srv/a.db', '/srv/a.db'],
  ])('%s is a plain one', (address, path) => {
    expect(fileOfAddress(address)).toBe(path);
    expect(plainFileOf(address)).toBe(path);
  });

  it.each([
    ['file:a.db?mode=ro', 'a.db'],
    ['file:a.db#b', 'a.db'],
    ['file::memory:', ':memory:'],
  ])('%s says more than its path', (address, path) => {
    expect(fileOfAddress(address)).toBe(path);
    expect(plainFileOf(address)).toBeNull();
  });

  it.each([
    'file://elsewhere.example/a.db',
    'http://127.0.0.1:8080',
    'libsql://records.example',
    'file:',
  ])('%s names none of this machine', (address) => {
    expect(fileOfAddress(address)).toBeNull();
    expect(plainFileOf(address)).toBeNull();
  });
});

it('is refused in a sentence where a code in it stands for no letter', () => {
  for (const address of ['file:/srv/50%/a.db', 'file:%e4.db'])
    expect(() => fileOfAddress(address)).toThrow(
      expect.objectContaining({ say: expect.stringContaining('DATABASE_URL') as string }) as Error,
    );
});

describe('the address of a file, as Node writes it,', () => {
  const NAMES = ['plain', 'tide #2', 'half 50%', 'where?', '%41', 'Söhne & Co', 'file:a', 'a:b'];

  it.each(NAMES)('names it again: %s', (name) => {
    const path = `/srv/${name}/x.db`;
    expect(fileOfAddress(pathToFileURL(path).href)).toBe(path);
    expect(plainFileOf(pathToFileURL(path).href)).toBe(path);
  });

  it('is read by the usual client as by us', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'address-'));
    for (const name of NAMES) {
      const own = join(folder, name);
      mkdirSync(own);
      const client = createClient({ url: pathToFileURL(join(own, 'x.db')).href });
      await client.execute('CREATE TABLE kept (n)');
      client.close();
      expect(readdirSync(own)).toContain('x.db');
    }
    expect(readdirSync(folder).sort()).toEqual([...NAMES].sort());
    rmSync(folder, { recursive: true, force: true });
  });
});
