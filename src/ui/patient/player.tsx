'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import type { SkipReason } from '@/core/adherence';
import type { PackSession, PatientPack } from '@/core/exchange';
import {
  type Step,
  advance,
  back,
  breakOff,
  currentSegment,
  isOver,
  skipLine,
  startAt,
} from '@/core/player';
import { resolve, sessionTimeline } from '@/core/timeline';
import { seconds } from '@/core/units';
import { CheckIn } from './check-in';
import { PlayerFace } from './player-face';
import { recorder } from './recorder';
import { Skipping, Stopping } from './player-asks';
import { FirstTime, knowsWhenToStop } from './first-time';
import type { KeptSession } from './store';
import { useSignals } from './use-signals';

/** A longer silence means that nobody was watching: the count stands still instead of guessing. */
const LONGEST_STEP_MS = 3_000;
const FRAME_MS = 100;

type Mode =
  'first time' | 'ready' | 'running' | 'paused' | 'away' | 'skipping' | 'stopping' | 'over';

export type PlayerProps = {
  readonly pack: PatientPack;
  readonly session: PackSession;
  readonly end: 'least' | 'most';
  readonly kept: KeptSession | null;
  readonly onLeave: () => void;
};

/** Plays the very segments whose sum was shown as the session's time. */
export default function Player({ pack, session, end, kept, onLeave }: PlayerProps) {
  const lines = useMemo(
    () => session.lines.flatMap((index) => pack.lines[index] ?? []),
    [pack.lines, session.lines],
  );
  const segments = useMemo(
    () => resolve(sessionTimeline(lines, pack.programme?.rounds ?? 1), end),
    [lines, pack.programme, end],
  );
  const [record] = useState(() => recorder(pack, session, end, kept));
  const [head, setHead] = useState(() => startAt(segments, kept?.index ?? 0));
  const headNow = useRef(head);
  const [mode, setMode] = useState<Mode>(() => (knowsWhenToStop() ? 'ready' : 'first time'));
  const segment = currentSegment(head);
  const signals = useSignals(segment, mode === 'running');

  function lineageAt(line: number): string {
    return lines[line]?.lineage ?? '';
  }

  /** Takes a step that began in this line, keeps what it did, and notices the end. */
  function take(step: Step, line: number) {
    headNow.current = step.playhead;
    setHead(step.playhead);
    if (step.reps.length > 0) record.reps(lineageAt(line), step.reps, step.playhead.index);
    const now = currentSegment(step.playhead);
    if (now && now.line !== line) record.lineOver();
    if (!now) {
      setMode('over');
      void record.ended();
    }
  }

  useEffect(() => {
    if (mode !== 'running') return;
    let last = performance.now();
    const timer = setInterval(() => {
      const at = performance.now();
      const passed = at - last;
      last = at;
      if (passed > LONGEST_STEP_MS) return setMode('away');
      // One segment at a time, so that a step never spans two exercises.
      let left = passed / 1000;
      while (left > 0 && !isOver(headNow.current)) {
        const now = currentSegment(headNow.current);
        const room = now ? now.seconds - headNow.current.elapsed : 0;
        const spent = Math.min(left, Math.max(room, 0.001));
        take(advance(headNow.current, seconds(spent)), now?.line ?? 0);
        left -= spent;
      }
    }, FRAME_MS);
    return () => clearInterval(timer);
    // The recorder and the segments never change while a session is open.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [mode]);

  function begin() {
    if (mode === 'ready') record.begin();
    signals.wake();
    setMode('running');
  }

  function goBack() {
    headNow.current = back(headNow.current);
    setHead(headNow.current);
  }

  function skip(reason: SkipReason) {
    const line = segment?.line ?? 0;
    const step = skipLine(headNow.current);
    headNow.current = step.playhead;
    setHead(step.playhead);
    if (step.reps.length > 0) record.reps(lineageAt(line), step.reps, step.playhead.index);
    record.skipped(lineageAt(line), reason, step.playhead.index);
    if (isOver(step.playhead)) void record.ended();
    setMode(isOver(step.playhead) ? 'over' : 'running');
  }

  function stop(because: 'enough' | 'symptom') {
    const reps = breakOff(headNow.current);
    if (reps.length > 0 && segment) {
      record.reps(lineageAt(segment.line), reps, headNow.current.index);
    }
    return record.stopped(because);
  }

  if (mode === 'first time')
    return <FirstTime pack={pack} onUnderstood={() => setMode('ready')} onLeave={onLeave} />;
  if (mode === 'over') {
    return <CheckIn title="Done" onSave={record.checkIn} onLeave={onLeave} />;
  }
  if (mode === 'stopping') {
    return (
      <Stopping
        pack={pack}
        onGoOn={() => setMode('running')}
        onStop={stop}
        onCheckIn={record.checkIn}
        onLeave={onLeave}
      />
    );
  }
  if (mode === 'skipping') return <Skipping onSkip={skip} onGoOn={() => setMode('running')} />;
  return (
    <PlayerFace
      head={head}
      lines={lines}
      mode={mode}
      sound={signals.sound}
      onSound={signals.setSound}
      onBegin={begin}
      onPause={() => setMode('paused')}
      onBack={goBack}
      onSkip={() => setMode('skipping')}
      onStop={() => setMode('stopping')}
      onLeave={onLeave}
    />
  );
}
