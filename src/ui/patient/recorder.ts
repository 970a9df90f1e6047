import { v4 as uuid } from 'uuid';
import type { RepDone, SessionEventBody, SkipReason } from '@/core/adherence';
import type { PackSession, PatientPack } from '@/core/exchange';
import { deliver } from './outbox';
import { type KeptSession, type WaitingEvent, deviceStore } from './store';

/** A monotonic clock in milliseconds; nobody can set it. */
const tick = () => performance.now();

/**
 * Tells what happens in one session, as it happens: every repetition is kept on the device at once,
 * and whole exercises become events for the clinic.
 */
export type Recorder = ReturnType<typeof recorder>;

export function recorder(
  pack: PatientPack,
  session: PackSession,
  end: 'least' | 'most',
  left: KeptSession | null,
) {
  const programme = pack.programme;
  if (!programme) throw new Error('a session without a programme');
  const base = left ? left.offsetMs + Math.max(0, Date.now() - left.savedAt) : 0;
  const begun = tick();
  let kept: KeptSession = left ?? {
    id: uuid(),
    patientId: pack.patientId,
    date: pack.today,
    key: session.key,
    programmeId: programme.id,
    version: programme.version,
    end,
    index: 0,
    pending: [],
    pendingLine: '',
    offsetMs: 0,
    savedAt: Date.now(),
    over: false,
    done: {},
  };
  // Writes follow each other, so that an older state never overwrites a newer one.
  let queue: Promise<void> = Promise.resolve();

  function keep(change: Partial<KeptSession>): Promise<void> {
    kept = { ...kept, ...change, offsetMs: Math.round(base + tick() - begun), savedAt: Date.now() };
    const state = kept;
    queue = queue.then(async () => (await deviceStore()).keepSession(state));
    return queue;
  }

  async function tell(...bodies: SessionEventBody[]): Promise<void> {
    const events = bodies.map((body) => eventOf(kept, body, Math.round(base + tick() - begun)));
    queue = queue.then(async () => (await deviceStore()).addEvents(events));
    await queue;
    void deliver(pack.patientId);
  }

  async function tellLine(skipped: SkipReason | null): Promise<void> {
    const { pending, pendingLine } = kept;
    if (pendingLine === '' || (pending.length === 0 && skipped === null)) return;
    await tell({ type: 'line', lineage: pendingLine, reps: pending, skipped });
    await keep({ pending: [], pendingLine: '' });
  }

  return {
    begin: () => (left ? keep({}) : Promise.all([keep({}), tell({ type: 'started' })])),
    /** Repetitions of a line, and the segment to go on with after a reload. */
    async reps(lineage: string, reps: readonly RepDone[], index: number) {
      if (kept.pendingLine !== '' && kept.pendingLine !== lineage) await tellLine(null);
      const done = { ...kept.done, [lineage]: [...(kept.done[lineage] ?? []), ...reps] };
      await keep({ pending: [...kept.pending, ...reps], pendingLine: lineage, index, done });
    },
    lineOver: () => tellLine(null),
    async skipped(lineage: string, reason: SkipReason, index: number) {
      if (kept.pendingLine !== '' && kept.pendingLine !== lineage) await tellLine(null);
      await keep({ pendingLine: lineage, index });
      await tellLine(reason);
    },
    async ended() {
      await tellLine(null);
      await tell({ type: 'ended' });
      await keep({ over: true });
    },
    async stopped(because: 'enough' | 'symptom') {
      await tellLine(null);
      await tell({ type: 'stopped', because });
      await keep({ over: true });
    },
    checkIn: (pain: number | null, word: string) => tell({ type: 'check-in', pain, word }),
  };
}

function eventOf(session: KeptSession, body: SessionEventBody, offsetMs: number): WaitingEvent {
  const id = uuid();
  return {
    id,
    patientId: session.patientId,
    event: {
      id,
      sessionId: session.id,
      sessionKey: session.key,
      programmeId: session.programmeId,
      version: session.version,
      deviceAt: Date.now(),
      offsetMs: Math.max(0, offsetMs),
      body: body as WaitingEvent['event']['body'],
    },
  };
}

/** Makes events of repetitions that a reload or a killed tab left untold. */
export async function flushPending(patientId: string): Promise<void> {
  const store = await deviceStore();
  for (const session of await store.sessionsOf(patientId)) {
    if (session.pending.length === 0 || session.pendingLine === '') continue;
    const body: SessionEventBody = {
      type: 'line',
      lineage: session.pendingLine,
      reps: session.pending,
      skipped: null,
    };
    await store.addEvents([eventOf(session, body, session.offsetMs)]);
    await store.keepSession({ ...session, pending: [], pendingLine: '' });
  }
}
