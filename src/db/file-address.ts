import { StartRefused } from './errors';

const FILE = /^file:(?:\/\/(?:localhost)?(?=\/))?([^?#]+)/u;

/**
 * The path of the file that an address names; null for a database that is no file of this machine.
 *
 * @param address as `pathToFileURL` writes it, or with a path that begins at the server's folder
 * @throws StartRefused where a code in it stands for no letter
 * @example fileOfAddress('file:///srv/tide%20%232/dry-lantern.db') // "/srv/tide #2/dry-lantern.db"
 */
export function fileOfAddress(address: string): string | null {
  const path = FILE.exec(address)?.[1];
  if (path === undefined || path.startsWith('//')) return null;
  try {
    return decodeURIComponent(path);
  } catch {
    throw new StartRefused(
      'the address of the database cannot be read: DATABASE_URL. A "%" of its own is written %25 there.',
    );
  }
}

/**
 * As `fileOfAddress`, null too where an address says more than a plain file's: a query, or a name that the
 * engine has another meaning for.
 */
export function plainFileOf(address: string): string | null {
  return /[?#]|^file::/u.test(address) ? null : fileOfAddress(address);
}
