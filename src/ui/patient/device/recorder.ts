import { DAY_KEY } from '@/core/history';
import { v4 as uuid } from 'uuid';
import type {
  DayEventBody,
  RepDone,
  SessionEventBody,
  SetCount,
  SkipReason,
} from '@/core/adherence';
import type { PackDay, PackSession, PatientPack } from '@/core/exchange';
import type { Advice, SymptomReport } from '@/core/symptoms';
import type { PatientId } from '@/core/units';
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
  day: PackDay,
  session: PackSession,
  end: 'least' | 'most',
  left: KeptSession | null,
) {
  const { programme } = day;
  if (!programme) throw new Error('a session without a programme');
  const base = left ? left.offsetMs + Math.max(0, Date.now() - left.savedAt) : 0;
  const begun = tick();
  let kept: KeptSession = left ?? {
    id: uuid(),
    patientId: pack.patientId,
    date: day.date,
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
  // What is known changes at once; what is stored follows in the same order. So an older state
  // never overwrites a newer one, and repetitions leave the session only after their event is kept.
  let queue: Promise<void> = Promise.resolve();
  const offset = () => Math.max(0, Math.round(base + tick() - begun));
  let lastTold = -1;
  /** Never the same twice, so that the order of events can always be told. */
  const nextOffset = () => {
    lastTold = Math.max(lastTold + 1, offset());
    return lastTold;
  };

  function keep(change: Partial<KeptSession>): Promise<void> {
    kept = { ...kept, ...change, offsetMs: offset(), savedAt: Date.now() };
    const state = kept;
    queue = after(queue, async () => (await deviceStore()).keepSession(state));
    return queue;
  }

  function tell(body: SessionEventBody): Promise<void> {
    const event = eventOf(kept, body, nextOffset());
    queue = after(queue, async () => (await deviceStore()).addEvents([event]));
    return queue.then(() => void deliver(pack.patientId));
  }

  function tellLine(skipped: SkipReason | null): void {
    const { pending, pendingLine } = kept;
    if (pendingLine === '' || (pending.length === 0 && skipped === null)) return;
    void tell({ type: 'line', lineage: pendingLine, reps: pending, skipped });
    void keep({ pending: [], pendingLine: '' });
  }

  /** The line that repetitions now belong to; one before it is over. */
  function turnTo(lineage: string): void {
    if (kept.pendingLine !== lineage) tellLine(null);
  }

  function close(body: SessionEventBody): Promise<void> {
    tellLine(null);
    void tell(body);
    return keep({ over: true });
  }

  return {
    begin(): void {
      void keep({});
      if (!left) void tell({ type: 'started' });
    },
    /** Repetitions of a line, and the segment to go on with after a reload. */
    reps(lineage: string, reps: readonly RepDone[], index: number): void {
      turnTo(lineage);
      const done = { ...kept.done, [lineage]: [...(kept.done[lineage] ?? []), ...reps] };
      void keep({ pending: [...kept.pending, ...reps], pendingLine: lineage, index, done });
    },
    /** A set as the patient counted it; its repetitions come before it in the record. */
    counted(lineage: string, count: SetCount): void {
      tellLine(null);
      void tell({ type: 'count', lineage, ...count });
    },
    lineOver: (): void => tellLine(null),
    skipped(lineage: string, reason: SkipReason, index: number): void {
      turnTo(lineage);
      void keep({ pendingLine: lineage, index });
      tellLine(reason);
    },
    ended: () => close({ type: 'ended' }),
    stopped: (because: 'enough' | 'symptom') => close({ type: 'stopped', because }),
    reported(lineage: string | null, report: SymptomReport, advice: Advice): void {
      // What was done before comes first in the record.
      tellLine(null);
      void tell({ type: 'report', lineage: lineage || null, report, advice });
    },
    /** Resolves once everything told so far is kept on the device. */
    settled: () => queue,
    checkIn: (pain: number | null, effort: number | null, word: string) =>
      tell({ type: 'check-in', pain, effort, word }),
  };
}

/** One job after another, whatever became of the one before: a failed write stops nothing behind it. */
function after(queue: Promise<void>, job: () => Promise<void>): Promise<void> {
  return queue.then(job, job).catch(() => undefined);
}

function eventOf(
  session: Pick<KeptSession, 'id' | 'patientId' | 'key' | 'programmeId' | 'version'>,
  body: SessionEventBody,
  offsetMs: number,
): WaitingEvent {
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
      offsetMs,
      body,
    },
  };
}

/** Makes events of repetitions that a reload or a killed tab left untold. */
export async function flushPending(patientId: PatientId): Promise<void> {
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

/** Tells of a day: kept on this device first, sent when possible. */
export async function tellDay(
  pack: Pick<PatientPack, 'patientId' | 'days'>,
  today: string,
  body: DayEventBody,
): Promise<void> {
  const programme =
    pack.days.find(({ date }) => date === today)?.programme ?? pack.days[0].programme;
  if (!programme) return;
  const store = await deviceStore();
  const session = {
    id: uuid(),
    patientId: pack.patientId,
    key: DAY_KEY,
    programmeId: programme.id,
    version: programme.version,
  };
  await store.addEvents([eventOf(session, body, 0)]);
  void deliver(pack.patientId);
}
