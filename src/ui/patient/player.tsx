'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { SkipReason } from '@/core/adherence';
import type { PackDay, PackSession, PatientPack } from '@/core/exchange';
import { type Moment, momentOf } from '@/core/figure';
import {
  type Playhead,
  type Step,
  advance,
  back,
  breakOff,
  currentSegment,
  isOver,
  learnPace,
  paceOf,
  restartLine,
  skipLine,
  startAt,
  tapDone,
} from '@/core/player';
import { resolve, sessionTimeline } from '@/core/timeline';
import { seconds } from '@/core/units';
import { wantsStill } from '../figure/moving';
import { CheckIn } from './check-in';
import { FirstTime, knowsWhenToStop } from './first-time';
import { Hurting } from './hurting';
import { Skipping, Stopping } from './player-asks';
import { PlayerFace } from './player-face';
import { type Preferences, keepPreferences, preferences } from './preferences';
import { recorder } from './device/recorder';
import { useSay } from './say';
import { segmentSpoken } from './segment-words';
import type { KeptSession } from './device/store';
import { useSignals } from './use-signals';

/** A longer silence means that nobody was watching: the count stands still instead of guessing. */
const LONGEST_STEP_MS = 3_000;
const FRAME_MS = 100;

type Mode =
  | 'first time'
  | 'ready'
  | 'running'
  | 'paused'
  | 'away'
  | 'skipping'
  | 'stopping'
  | 'hurting'
  | 'over';

export type PlayerProps = {
  readonly pack: PatientPack;
  readonly day: PackDay;
  readonly session: PackSession;
  readonly end: 'least' | 'most';
  readonly kept: KeptSession | null;
  readonly onLeave: () => void;
};

/** Plays the very segments whose sum was shown as the session's time. */
export default function Player({ pack, day, session, end, kept, onLeave }: PlayerProps) {
  const say = useSay();
  const lines = useMemo(
    () => session.lines.flatMap((index) => pack.lines[index] ?? []),
    [pack.lines, session.lines],
  );
  const [chosen, setChosen] = useState<Preferences>(preferences);
  const [paces] = useState(chosen.paces);
  const segments = useMemo(
    () => resolve(sessionTimeline(lines, day.programme?.rounds ?? 1), end, paces),
    [lines, day.programme, end, paces],
  );
  const [record] = useState(() => recorder(pack, day, session, end, kept));
  const [head, setHead] = useState(() => startAt(segments, kept?.index ?? 0));
  const headNow = useRef(head);
  /** When `headNow` was true, by a clock nobody can set. */
  const trueAt = useRef(0);
  /** Seconds of the segment under way when the patient goes at their own pace. */
  const [own, setOwn] = useState(0);
  const ownNow = useRef(0);
  const [mode, setMode] = useState<Mode>(() => (knowsWhenToStop() ? 'ready' : 'first time'));
  const segment = currentSegment(head);
  const line = segment ? lines[segment.line] : undefined;
  const spoken = segment && line ? segmentSpoken(segment, line, say) : '';
  const signals = useSignals(segment, mode === 'running', chosen, spoken);

  function lineageAt(index: number): string {
    return lines[index]?.lineage ?? '';
  }

  function put(playhead: Playhead) {
    if (playhead.index !== headNow.current.index) {
      ownNow.current = 0;
      setOwn(0);
    }
    headNow.current = playhead;
    trueAt.current = performance.now();
    setHead(playhead);
  }

  /** Takes a step that began in this line, keeps what it did, and notices the end. */
  function take(step: Step, from: number) {
    put(step.playhead);
    if (step.reps.length > 0) record.reps(lineageAt(from), step.reps, step.playhead.index);
    const now = currentSegment(step.playhead);
    if (now && now.line !== from) record.lineOver();
    if (!now) {
      setMode('over');
      void record.ended();
    }
  }

  useEffect(() => {
    if (mode !== 'running') return;
    let last = performance.now();
    trueAt.current = last;
    const timer = setInterval(() => {
      const at = performance.now();
      const passed = at - last;
      last = at;
      if (passed > LONGEST_STEP_MS) return setMode('away');
      if (chosen.ownPace) {
        ownNow.current += passed / 1000;
        trueAt.current = at;
        return setOwn(ownNow.current);
      }
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
  }, [mode, chosen.ownPace]);

  function choose(change: Partial<Preferences>) {
    const next = { ...chosen, ...change };
    setChosen(next);
    keepPreferences(next);
  }

  function begin() {
    if (mode === 'ready') record.begin();
    signals.wake();
    setMode('running');
  }

  /** "I am ready", or "done": on to the next segment, and the pace is learned where none is written. */
  function tap() {
    const now = currentSegment(headNow.current);
    if (!now) return;
    const took = chosen.ownPace ? ownNow.current : headNow.current.elapsed;
    const pace = paceOf(headNow.current);
    if (pace) choose({ paces: learnPace(chosen.paces, pace, took) });
    take(tapDone(headNow.current, took), now.line);
  }

  function skip(reason: SkipReason | null) {
    const from = segment?.line ?? 0;
    const step = skipLine(headNow.current);
    put(step.playhead);
    if (step.reps.length > 0) record.reps(lineageAt(from), step.reps, step.playhead.index);
    if (reason) record.skipped(lineageAt(from), reason, step.playhead.index);
    else record.lineOver();
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

  const moment = useCallback((): Moment => {
    const now = currentSegment(headNow.current);
    const figure = now ? lines[now.line]?.figure : null;
    if (!now || !figure) return { along: 0, side: 'right' };
    const since = mode === 'running' ? (performance.now() - trueAt.current) / 1000 : 0;
    const elapsed = (chosen.ownPace ? ownNow.current : headNow.current.elapsed) + since;
    return momentOf(figure, now, Math.min(elapsed, now.seconds), wantsStill());
  }, [lines, mode, chosen.ownPace]);

  if (mode === 'first time')
    return <FirstTime pack={pack} onUnderstood={() => setMode('ready')} onLeave={onLeave} />;
  if (mode === 'over')
    return <CheckIn title={say('checkin.done')} onSave={record.checkIn} onLeave={onLeave} />;
  if (mode === 'stopping')
    return (
      <Stopping
        onGoOn={() => setMode('running')}
        onHurt={() => setMode('hurting')}
        onStop={() => stop('enough')}
        onCheckIn={record.checkIn}
        onLeave={onLeave}
      />
    );
  if (mode === 'hurting')
    return (
      <Hurting
        pack={pack}
        onGoOn={() => setMode('running')}
        onTold={(report, advice) => {
          record.reported(segment ? lineageAt(segment.line) : null, report, advice);
        }}
        onSkip={() => skip('pain')}
        onStop={stop}
        onCheckIn={record.checkIn}
        onLeave={onLeave}
      />
    );
  if (mode === 'skipping') return <Skipping onSkip={skip} onGoOn={() => setMode('running')} />;
  return (
    <PlayerFace
      head={head}
      own={chosen.ownPace ? own : null}
      lines={lines}
      mode={mode}
      chosen={chosen}
      moment={moment}
      onChoose={choose}
      onBegin={begin}
      onTap={tap}
      onPause={() => setMode('paused')}
      onBack={() => put(back(headNow.current))}
      onRepeat={() => put(restartLine(headNow.current))}
      onLess={() => skip(null)}
      onSkip={() => setMode('skipping')}
      onStop={() => setMode('stopping')}
      onHurt={() => setMode('hurting')}
      onLeave={onLeave}
    />
  );
}
