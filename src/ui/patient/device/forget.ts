import { openDB } from 'idb';
import type { KeptSession } from './store';

/** What the patient's worker keeps, under a name of its own (src/workers/patient-worker.ts). */
const CACHES = 'dry-lantern-';

/**
 * Takes off this device what names the patient or says what they do: the pages, the pack, sessions that
 * are told. What is not sent yet stays until it is, and what of it no event tells yet with it.
 */
export async function forgetPatientHere(): Promise<void> {
  try {
    for (const name of await caches.keys()) if (name.startsWith(CACHES)) await caches.delete(name);
  } catch {
    // A browser that keeps no pages has none to forget.
  }
  try {
    const names = (await indexedDB.databases()).map(({ name }) => name);
    if (!names.includes('dry-lantern')) return;
    const db = await openDB('dry-lantern');
    await db.clear('packs');
    for (const session of (await db.getAll('sessions')) as KeptSession[])
      if (session.pending.length === 0) await db.delete('sessions', session.id);
    db.close();
  } catch {
    // Nothing is kept here.
  }
}
