import type { PatientPack } from '@/core/exchange';
import type { DeviceStore, KeptSession, WaitingEvent } from './store';

/** What a page's own memory holds: gone with the page. */
export type MemoryStore = DeviceStore & {
  readonly held: () => { readonly events: number; readonly sessions: number };
  /** Everything held, of whichever patient. */
  readonly all: () => { readonly events: WaitingEvent[]; readonly sessions: KeptSession[] };
  readonly forgetSessions: (ids: readonly string[]) => void;
};

/** For browsers that keep nothing, and for what finds no room on the device. */
export function memoryStore(): MemoryStore {
  const events = new Map<string, WaitingEvent>();
  const sessions = new Map<string, KeptSession>();
  let newest: PatientPack | null = null;
  return {
    lasts: false,
    full: () => false,
    held: () => ({ events: events.size, sessions: sessions.size }),
    all: () => ({ events: [...events.values()], sessions: [...sessions.values()] }),
    forgetSessions(ids) {
      for (const id of ids) sessions.delete(id);
    },
    keepPack: async (kept) => void (newest = kept),
    pack: async () => newest,
    async addEvents(added) {
      for (const event of added) events.set(event.id, event);
    },
    waiting: async (patientId) =>
      [...events.values()].filter((event) => event.patientId === patientId),
    async removeEvents(ids) {
      for (const id of ids) events.delete(id);
    },
    async keepSession(session) {
      sessions.set(session.id, session);
    },
    sessionsOf: async (patientId) =>
      [...sessions.values()].filter((session) => session.patientId === patientId),
  };
}
