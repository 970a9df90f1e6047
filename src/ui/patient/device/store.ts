import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { RepDone } from '@/core/adherence';
import type { PatientPack } from '@/core/exchange';
import type { DeviceEvent } from '@/core/records';
import type { PatientId, ProgrammeId } from '@/core/units';
import { markUnsent } from './awake';
import { memoryStore } from './memory-store';

/** An event waiting on this device, with the patient it belongs to. */
export type WaitingEvent = {
  readonly id: string;
  readonly patientId: PatientId;
  readonly event: DeviceEvent;
  /** Refused by the clinic's server for good; kept for a person to look at. */
  readonly refused?: string;
};

/** A session as far as it got, so that a reload loses nothing. */
export type KeptSession = {
  readonly id: string;
  readonly patientId: PatientId;
  readonly date: string;
  readonly key: string;
  readonly programmeId: ProgrammeId;
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
  waiting(patientId: PatientId): Promise<WaitingEvent[]>;
  removeEvents(ids: readonly string[]): Promise<void>;
  keepSession(session: KeptSession): Promise<void>;
  sessionsOf(patientId: PatientId): Promise<KeptSession[]>;
  /** The newest pack this device got; one patient's at a time. */
  keepPack(pack: PatientPack): Promise<void>;
  pack(): Promise<PatientPack | null>;
};

let opened: Promise<DeviceStore> | undefined;

/** The store of this device, opened once. */
export function deviceStore(): Promise<DeviceStore> {
  opened ??= openDeviceStore().catch(() => memoryStore());
  return opened;
}

type Database = IDBPDatabase<Shape>;

/** What the browser forgets by itself, or another tab closes, is opened again at its next use. */
function connection() {
  let open: Promise<Database> | undefined;
  const forget = () => {
    open = undefined;
  };
  const get = () => {
    open ??= openDB<Shape>('dry-lantern', 2, {
      upgrade(fresh, before) {
        if (before < 1) {
          fresh.createObjectStore('events', { keyPath: 'id' }).createIndex('patient', 'patientId');
          fresh
            .createObjectStore('sessions', { keyPath: 'id' })
            .createIndex('patient', 'patientId');
        }
        if (before < 2) fresh.createObjectStore('packs');
      },
      terminated: forget,
    });
    open.catch(forget);
    return open;
  };
  return {
    get,
    /** Does a job; when the connection turns out to be lost, once more on a new one. */
    async use<T>(job: (db: Database) => Promise<T>): Promise<T> {
      const db = await get();
      try {
        return await job(db);
      } catch (error) {
        if (!isLost(error)) throw error;
        forget();
        return job(await get());
      }
    },
  };
}

/** A transaction on a connection that is closing or closed. */
function isLost(error: unknown): boolean {
  return error instanceof DOMException && error.name === 'InvalidStateError';
}

/**
 * The device's own database. What finds no room is held in memory, told, and put on the device as
 * soon as there is room again: at the next write, and after every delivery.
 *
 * @throws when this browser has no database at all
 */
export async function openDeviceStore(): Promise<DeviceStore> {
  const database = connection();
  await database.get();
  const overflow = memoryStore();

  const putEvents = (events: readonly WaitingEvent[]) =>
    database.use(async (db) => {
      const tx = db.transaction('events', 'readwrite', { durability: 'strict' });
      await Promise.all([...events.map((event) => tx.store.put(event)), tx.done]);
    });
  const putSession = (session: KeptSession) => database.use((db) => db.put('sessions', session));

  /** Puts on the device what found no room before; what still finds none stays in memory. */
  async function drain(): Promise<void> {
    const { events, sessions } = overflow.all();
    try {
      if (events.length > 0) {
        await putEvents(events);
        await overflow.removeEvents(events.map(({ id }) => id));
      }
      for (const session of sessions) {
        await putSession(session);
        overflow.forgetSessions([session.id]);
      }
    } catch {
      // Held in memory, as before.
    }
  }

  async function orOverflow(write: () => Promise<unknown>, otherwise: () => Promise<unknown>) {
    try {
      await write();
    } catch {
      await otherwise();
      return;
    }
    await drain();
  }

  return {
    lasts: true,
    full: () => overflow.held().events + overflow.held().sessions > 0,
    addEvents(events) {
      for (const { patientId } of events) markUnsent('event', patientId);
      return orOverflow(
        () => putEvents(events),
        () => overflow.addEvents(events),
      );
    },
    waiting: async (patientId) => {
      const inMemory = await overflow.waiting(patientId);
      const newer = new Set(inMemory.map(({ id }) => id));
      const kept = await database
        .use((db) => db.getAllFromIndex('events', 'patient', patientId))
        .catch(() => []);
      return [...kept.filter(({ id }) => !newer.has(id)), ...inMemory];
    },
    async removeEvents(ids) {
      await database.use(async (db) => {
        const tx = db.transaction('events', 'readwrite');
        await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done]);
      });
      await overflow.removeEvents(ids);
      await drain();
    },
    keepSession(session) {
      markUnsent('session', session.patientId);
      return orOverflow(
        () => putSession(session),
        () => overflow.keepSession(session),
      );
    },
    sessionsOf: async (patientId) => {
      const newer = await overflow.sessionsOf(patientId);
      const ids = new Set(newer.map(({ id }) => id));
      const kept = await database
        .use((db) => db.getAllFromIndex('sessions', 'patient', patientId))
        .catch(() => []);
      return [...kept.filter(({ id }) => !ids.has(id)), ...newer];
    },
    async keepPack(pack) {
      // Without it the page still works with a signal.
      await database.use((db) => db.put('packs', pack, 'newest')).catch(() => undefined);
    },
    pack: async () =>
      (await database.use((db) => db.get('packs', 'newest')).catch(() => undefined)) ?? null,
  };
}
