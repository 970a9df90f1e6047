import { type Client, createClient } from '@libsql/client';
import { databaseUrl } from '@/db';
import { plainFileOf } from '@/db/file-address';
import { FileClient } from '@/db/file-client';

/**
 * What reads rows as they stand: the usual client, which what is wanted was measured beside, and the
 * application's own, which is several times as quick.
 */
export function bareClients(): { readonly usual: Client; readonly kept: Client } {
  const url = databaseUrl();
  const path = plainFileOf(url);
  if (path === null) throw new Error('the bench’s database is no file');
  return { usual: createClient({ url }), kept: new FileClient(path, { timeout: 20 }) };
}
