import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { RepDone } from '@/core/adherence';
import type { DeviceEvent } from '@/core/records';

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
}

/**
 * Where a device keeps what was done until the clinic has it. Browsers that keep nothing (some
 * private windows) get the same in memory, and `lasts` says so.
 */
export type DeviceStore = {
  readonly lasts: boolean;
  addEvents(events: readonly WaitingEvent[]): Promise<void>;
  waiting(patientId: string): Promise<WaitingEvent[]>;
  removeEvents(ids: readonly string[]): Promise<void>;
  keepSession(session: KeptSession): Promise<void>;
  sessionsOf(patientId: string): Promise<KeptSession[]>;
};

let opened: Promise<DeviceStore> | undefined;

/** The store of this device, opened once. */
export function deviceStore(): Promise<DeviceStore> {
  opened ??= openStore().catch(() => memoryStore());
  return opened;
}

async function openStore(): Promise<DeviceStore> {
  const db: IDBPDatabase<Shape> = await openDB<Shape>('dry-lantern', 1, {
    upgrade(fresh) {
      fresh.createObjectStore('events', { keyPath: 'id' }).createIndex('patient', 'patientId');
      fresh.createObjectStore('sessions', { keyPath: 'id' }).createIndex('patient', 'patientId');
    },
  });
  return {
    lasts: true,
    async addEvents(events) {
      const tx = db.transaction('events', 'readwrite', { durability: 'strict' });
      await Promise.all(events.map((event) => tx.store.put(event)));
      await tx.done;
    },
    waiting: (patientId) => db.getAllFromIndex('events', 'patient', patientId),
    async removeEvents(ids) {
      const tx = db.transaction('events', 'readwrite');
      await Promise.all(ids.map((id) => tx.store.delete(id)));
      await tx.done;
    },
    async keepSession(session) {
      await db.put('sessions', session);
    },
    sessionsOf: (patientId) => db.getAllFromIndex('sessions', 'patient', patientId),
  };
}

function memoryStore(): DeviceStore {
  const events = new Map<string, WaitingEvent>();
  const sessions = new Map<string, KeptSession>();
  return {
    lasts: false,
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
