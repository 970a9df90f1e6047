'use client';

import { lazy, Suspense, useCallback, useEffect, useState } from 'react';
import { lineTarget, shareDone } from '@/core/adherence';
import type { PackSession, PatientPack } from '@/core/exchange';
import { formatRange } from './words';
import { BeginButton } from './begin-button';
import { BigLantern } from './big-lantern';
import { type Delivery, deliver } from './outbox';
import { flushPending } from './recorder';
import { StopAdvice } from './stop-advice';
import { type KeptSession, deviceStore } from './store';

const Player = lazy(() => import('./player'));

type Playing = {
  readonly session: PackSession;
  readonly end: 'least' | 'most';
  readonly kept: KeptSession | null;
};

/** The patient's page: today's lantern, its sessions, and where everything is saved. */
export function Today({ start }: { start: PatientPack }) {
  const [pack, setPack] = useState(start);
  const [kept, setKept] = useState<readonly KeptSession[]>([]);
  const [delivery, setDelivery] = useState<Delivery | null>(null);
  const [lasts, setLasts] = useState(true);
  const [playing, setPlaying] = useState<Playing | null>(null);

  const refresh = useCallback(async () => {
    const store = await deviceStore();
    setLasts(store.lasts);
    setKept(
      (await store.sessionsOf(start.patientId)).filter((session) => session.date === start.today),
    );
    setDelivery(await deliver(start.patientId));
    const fresh = await fetchPack();
    if (fresh) setPack(fresh);
  }, [start.patientId, start.today]);

  useEffect(() => {
    // What was done before a reload is told even if the session is never gone on with.
    void flushPending(start.patientId).then(refresh);
    const again = () => void refresh();
    window.addEventListener('online', again);
    return () => window.removeEventListener('online', again);
  }, [refresh, start.patientId]);

  if (playing) {
    return (
      <Suspense fallback={<p className="p-6">Getting your session ready …</p>}>
        <Player
          pack={pack}
          session={playing.session}
          end={playing.end}
          kept={playing.kept}
          onLeave={() => {
            setPlaying(null);
            // What was known before the session says nothing about what it added.
            setDelivery(null);
            void refresh();
          }}
        />
      </Suspense>
    );
  }
  const left = kept.find((session) => !session.over && session.version === pack.programme?.version);
  const leftOff =
    left && pack.sessions.concat(pack.extra ?? []).find((session) => session.key === left.key);
  return (
    <div className="grid gap-6">
      <header>
        <p className="text-soft">{pack.clinic.name}</p>
        <h1 className="text-2xl">{pack.dateText}</h1>
        <p dir="auto">{pack.name}</p>
      </header>
      {pack.paused !== 'no' && <Paused pack={pack} />}
      {pack.lines.length > 0 && pack.paused === 'no' && (
        <BigLantern
          ribs={pack.lines.map((line) => ({
            id: line.lineage,
            name: line.name,
            words: line.words,
            share: Math.max(line.share, keptShare(pack, kept, line.lineage)),
          }))}
        />
      )}
      {pack.sessions.length === 0 && pack.paused === 'no' && (
        <p className="text-lg">{pack.restText}</p>
      )}
      {left && leftOff && (
        <section
          className="grid gap-2 rounded border-2 border-lit p-4"
          aria-label="A session under way"
        >
          <p>You left off in the middle of “{leftOff.label}”. Everything you did is saved.</p>
          <BeginButton onClick={() => setPlaying({ session: leftOff, end: left.end, kept: left })}>
            Go on where you left off
          </BeginButton>
        </section>
      )}
      <Sessions
        pack={pack}
        kept={kept}
        onBegin={(session, end) => setPlaying({ session, end, kept: null })}
      />
      <Saved delivery={delivery} lasts={lasts} clinic={pack.clinic.name} />
      <StopAdvice pack={pack} />
    </div>
  );
}

async function fetchPack(): Promise<PatientPack | null> {
  try {
    const response = await fetch('/api/v1/patient/pack', { credentials: 'same-origin' });
    const answer = (await response.json()) as { ok: boolean; value: PatientPack };
    return answer.ok ? answer.value : null;
  } catch {
    return null;
  }
}

/** The share of a line done in the sessions this device remembers of today. */
function keptShare(pack: PatientPack, kept: readonly KeptSession[], lineage: string): number {
  const line = pack.lines.find((one) => one.lineage === lineage);
  if (!line || !pack.programme) return 0;
  const due = pack.sessions.filter((session) =>
    session.lines.some((index) => pack.lines[index]?.lineage === lineage),
  ).length;
  const target = lineTarget(line, pack.programme.rounds);
  const sum = kept.reduce(
    (total, session) => total + Math.min(1, shareDone(target, session.done[lineage] ?? [])),
    0,
  );
  return Math.min(1, sum / Math.max(1, due));
}

function Paused({ pack }: { pack: PatientPack }) {
  return (
    <section className="grid gap-2 rounded border-2 border-stop p-4" aria-label="Paused">
      <h2 className="text-xl">Your programme is paused</h2>
      <p>
        {pack.paused === 'after a stop'
          ? 'You stopped because something felt wrong. Do not go on until your clinic has spoken with you.'
          : 'Your clinic has paused it. Nothing is due, and these days do not count.'}
      </p>
      <p>
        {pack.clinic.name}:{' '}
        <a
          href={`tel:${pack.clinic.phone.replace(/[^+\d]/g, '')}`}
          className="inline-block py-2 text-action underline"
        >
          {pack.clinic.phone}
        </a>
      </p>
    </section>
  );
}

function Sessions({
  pack,
  kept,
  onBegin,
}: {
  pack: PatientPack;
  kept: readonly KeptSession[];
  onBegin: (session: PackSession, end: 'least' | 'most') => void;
}) {
  const over = new Set(kept.filter((session) => session.over).map((session) => session.key));
  const all = pack.extra ? [...pack.sessions, pack.extra] : pack.sessions;
  const next = pack.sessions.find((session) => !session.done && !over.has(session.key));
  return (
    <ul className="grid gap-3">
      {all.map((session) => {
        const done = session.key !== 'as-needed' && (session.done || over.has(session.key));
        return (
          <li key={session.key} className="grid gap-2 border-t border-hair pt-3">
            <div className="flex flex-wrap items-baseline justify-between gap-x-3">
              <h2 className="text-lg">{session.label}</h2>
              <span className="text-soft">{done ? 'Done' : formatRange(session.time)}</span>
            </div>
            {session === next || session.key === 'as-needed' ? (
              <BeginButton onClick={() => onBegin(session, 'least')}>Begin</BeginButton>
            ) : (
              <button
                type="button"
                className="min-h-11 justify-self-start rounded border border-hair px-4 text-action"
                onClick={() => onBegin(session, 'least')}
              >
                {done ? 'Do it again' : 'Begin this one'}
                <span className="sr-only">: {session.label}</span>
              </button>
            )}
            {!done && session.time.most - session.time.least >= 30 && (
              <button
                type="button"
                className="min-h-11 justify-self-start px-1 text-action underline"
                onClick={() => onBegin(session, 'most')}
              >
                Begin the longer form (
                {formatRange({ least: session.time.most, most: session.time.most })})
              </button>
            )}
          </li>
        );
      })}
    </ul>
  );
}

function Saved({
  delivery,
  lasts,
  clinic,
}: {
  delivery: Delivery | null;
  lasts: boolean;
  clinic: string;
}) {
  return (
    <p role="status" className="text-soft" data-testid="saved">
      {delivery === null && 'Looking what is saved …'}
      {delivery?.state === 'at the clinic' && `Everything you did is at ${clinic}.`}
      {delivery?.state === 'saved here' &&
        'Saved on this phone. It goes to your clinic when there is a signal.'}
      {delivery?.state === 'link ended' &&
        'Saved on this phone. Your link no longer works: ask your clinic for a new one, and open it on this phone.'}
      {delivery?.state === 'refused' &&
        'Some of it could not be read by your clinic’s server. It is kept on this phone; tell your clinic.'}
      {!lasts &&
        ' This browser window keeps nothing when it is closed: finish your session before you close it.'}
    </p>
  );
}
