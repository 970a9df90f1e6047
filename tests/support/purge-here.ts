import { purgeDatabase } from '@/db/purge';

/** Stands in for the thread that purges where nothing is built: it purges on the spot. */
export async function purgeInThread(url: string): Promise<boolean> {
  await purgeDatabase(url);
  return true;
}
