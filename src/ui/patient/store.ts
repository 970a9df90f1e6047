import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { RepDone } from '@/core/adherence';
import type { PatientPack } from '@/core/exchange';
import type { DeviceEvent } from '@/core/records';
import { markUnsent } from './awake';

/** An event waiting on this device, with the patient it belongs to. */
export type WaitingEvent = {
  readonly id: string;
  readonly patientId: string;
  readonly event: DeviceEvent;
  /** Refused by the clinic's server for good; kept for a person to look at. */
  readonly refused?: string;
};

/** A session as far as it got, so that a reload loses nothing. */
export type KeptSession = {
  readonly id: string;
  readonly patientId: string;
  readonly date: string;
  readonly key: string;
  readonly programmeId: string;
  readonly version: number;
  readonly end: 'least' | 'most';
  /** Segment to go on with. */
  readonly index: number;
  /** Repetitions done that no event tells yet. */
  readonly pending: readonly RepDone[];
  readonly pendingLine: string;
  /** Milliseconds since the session began. */
  readonly offsetMs: number;
  readonly savedAt: number;
  readonly over: boolean;
  /** Repetitions done by lineage, for the lantern while there is no signal. */
  readonly done: Readonly<Record<string, readonly RepDone[]>>;
};

interface Shape extends DBSchema {
  events: { key: string; value: WaitingEvent; indexes: { patient: string } };
  sessions: { key: string; value: KeptSession; indexes: { patient: string } };
  packs: { key: string; value: PatientPack };
}

/**
 * Where a device keeps what was done until the clinic has it. Browsers that keep nothing (some
 * private windows) get the same in memory, and `lasts` says so.
 */
export type DeviceStore = {
  readonly lasts: boolean;
  /** Something found no room on this device and is only in this page's memory. */
  readonly full: () => boolean;
  addEvents(events: readonly WaitingEvent[]): Promise<void>;
  waiting(patientId: string): Promise<WaitingEvent[]>;
  removeEvents(ids: readonly string[]): Promise<void>;
  keepSession(session: KeptSession): Promise<void>;
  sessionsOf(patientId: string): Promise<KeptSession[]>;
  /** The newest pack this device got; one patient's at a time. */
  keepPack(pack: PatientPack): Promise<void>;
  pack(): Promise<PatientPack | null>;
};

let opened: Promise<DeviceStore> | undefined;

/** The store of this device, opened once. */
export function deviceStore(): Promise<DeviceStore> {
  opened ??= openStore().catch(() => memoryStore());
  return opened;
}

async function openStore(): Promise<DeviceStore> {
  const db: IDBPDatabase<Shape> = await openDB<Shape>('dry-lantern', 2, {
    upgrade(fresh, before) {
      if (before < 1) {
        fresh.createObjectStore('events', { keyPath: 'id' }).createIndex('patient', 'patientId');
        fresh.createObjectStore('sessions', { keyPath: 'id' }).createIndex('patient', 'patientId');
      }
      if (before < 2) fresh.createObjectStore('packs');
    },
  });
  // What finds no room is held in memory until it is sent: told, and not lost while the page is open.
  const overflow = memoryStore();
  let overflowed = false;
  async function orOverflow(write: () => Promise<unknown>, otherwise: () => Promise<unknown>) {
    try {
      await write();
    } catch {
      overflowed = true;
      await otherwise();
    }
  }
  return {
    lasts: true,
    full: () => overflowed,
    addEvents(events) {
      for (const { patientId } of events) markUnsent('event', patientId);
      return orOverflow(
        async () => {
          const tx = db.transaction('events', 'readwrite', { durability: 'strict' });
          await Promise.all([...events.map((event) => tx.store.put(event)), tx.done]);
        },
        () => overflow.addEvents(events),
      );
    },
    waiting: async (patientId) => [
      ...(await db.getAllFromIndex('events', 'patient', patientId)),
      ...(await overflow.waiting(patientId)),
    ],
    async removeEvents(ids) {
      const tx = db.transaction('events', 'readwrite');
      await Promise.all(ids.map((id) => tx.store.delete(id)));
      await tx.done;
      await overflow.removeEvents(ids);
      if ((await overflow.held()) === 0) overflowed = false;
    },
    keepSession(session) {
      markUnsent('session', session.patientId);
      return orOverflow(
        () => db.put('sessions', session),
        () => overflow.keepSession(session),
      );
    },
    sessionsOf: async (patientId) => {
      const kept = await db.getAllFromIndex('sessions', 'patient', patientId);
      const newer = await overflow.sessionsOf(patientId);
      const ids = new Set(newer.map(({ id }) => id));
      return [...kept.filter(({ id }) => !ids.has(id)), ...newer];
    },
    async keepPack(pack) {
      // Without it the page still works with a signal.
      await db.put('packs', pack, 'newest').catch(() => undefined);
    },
    pack: async () => (await db.get('packs', 'newest')) ?? null,
  };
}

function memoryStore(): DeviceStore & { held: () => Promise<number> } {
  const events = new Map<string, WaitingEvent>();
  const sessions = new Map<string, KeptSession>();
  let newest: PatientPack | null = null;
  return {
    lasts: false,
    full: () => false,
    held: async () => events.size,
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
      [...sessions.values()].filter((s) => s.patientId === patientId),
  };
}
