'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { PackDay, PackSession, PatientPack } from '@/core/exchange';
import { type Moment, momentOf } from '@/core/figure';
import {
  LONGEST_SILENCE_MS,
  type PlayerAction,
  type PlayerTold,
  changesAhead,
  currentSegment,
  playerState,
  playerStep,
  secondsInto,
} from '@/core/player';
import { sessionTimeline, toPlay } from '@/core/timeline';
import { seconds } from '@/core/units';
import { wantsStill } from '../figure/moving';
import { CheckIn } from './check-in';
import { type Recorder, recorder } from './device/recorder';
import type { KeptSession } from './device/store';
import { FirstTime } from './first-time';
import { knowsWhenToStop } from './knows-when-to-stop';
import { Hurting } from './hurting';
import { Skipping, Stopping } from './player-asks';
import { PlayerFace, Question } from './player-face';
import { type Preferences, keepPreferences, preferences } from './preferences';
import { useSay } from './say';
import { segmentSpoken } from './segment-words';
import { useSignals } from './use-signals';
import type { Ahead } from './use-tones';

const FRAME_MS = 100;

/** The player's clock: milliseconds that nobody can set. */
const clock = () => performance.now();

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
  const [record] = useState(() => recorder(pack, day, session, end, kept));
  const [state, setState] = useState(() =>
    playerState(toPlay(sessionTimeline(lines, day.programme?.rounds ?? 1), end, chosen.paces), {
      index: kept?.index ?? 0,
      knowsWhenToStop: knowsWhenToStop(),
      ownPace: chosen.ownPace,
      paces: chosen.paces,
      asks: lines.map((line) => line.howMany ?? null),
    }),
  );
  // What is true now, for actions between two drawings of the screen.
  const now = useRef(state);
  const ahead = useMemo(
    (): Ahead =>
      changesAhead(state, seconds(LONGEST_SILENCE_MS / 1000)).map(({ index, after, kind }) => ({
        index,
        kind,
        at: (state.trueAt ?? 0) + after * 1000,
      })),
    [state],
  );
  const { mode, head, own, counting } = state;
  const [countBefore, setCountBefore] = useState<number | null>(null);
  const segment = currentSegment(head);
  const line = segment ? lines[segment.line] : undefined;
  const spoken = segment && line ? segmentSpoken(segment, line, say, head.segments) : '';
  const signals = useSignals({
    segment,
    index: head.index,
    running: mode === 'running',
    ahead,
    chosen,
    spoken,
    language: pack.language,
  });
  const lineageAt = (index: number) => lines[index]?.lineage ?? '';

  function choose(change: Partial<Preferences>) {
    setChosen((before) => {
      const next = { ...before, ...change };
      keepPreferences(next);
      return next;
    });
    if (change.ownPace !== undefined) act({ type: 'own pace', on: change.ownPace });
  }

  function act(action: PlayerAction): void {
    const step = playerStep(now.current, action);
    now.current = step.state;
    setState(step.state);
    for (const told of step.told) tell(record, told, lineageAt, choose);
  }

  useEffect(() => {
    if (mode !== 'running') return;
    const timer = setInterval(() => act({ type: 'tick', at: clock() }), FRAME_MS);
    return () => clearInterval(timer);
    // The recorder and the lines never change while a session is open.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [mode]);

  function count(reps: number | null, load: number | null) {
    const line = now.current.counting?.line;
    act({ type: 'count', reps, load });
    // The next set of the same line is offered what this one came to.
    setCountBefore(currentSegment(now.current.head)?.line === line ? reps : null);
  }

  const goOn = () => act({ type: 'go on', at: clock() });

  function begin() {
    signals.wake();
    goOn();
  }

  async function stop(because: 'enough' | 'symptom') {
    act({ type: 'break off', because });
    await record.settled();
  }

  const moment = useCallback((): Moment => {
    const { head: at } = now.current;
    const played = currentSegment(at);
    const figure = played ? lines[played.line]?.figure : null;
    if (!played || !figure) return { along: 0, side: 'right' };
    const names = lines[played.line]?.directions;
    const elapsed = Math.min(secondsInto(now.current, clock()), played.seconds);
    return momentOf(figure, played, elapsed, wantsStill(), names);
  }, [lines]);

  if (mode === 'first time')
    return (
      <FirstTime pack={pack} onUnderstood={() => act({ type: 'understood' })} onLeave={onLeave} />
    );
  if (mode === 'over' && counting)
    return <Question counting={counting} countBefore={countBefore} lines={lines} onCount={count} />;
  if (mode === 'over')
    return <CheckIn title={say('checkin.done')} onSave={record.checkIn} onLeave={onLeave} />;
  if (mode === 'stopping')
    return (
      <Stopping
        onGoOn={goOn}
        onHurt={() => act({ type: 'stand still', as: 'hurting' })}
        onStop={() => stop('enough')}
        onCheckIn={record.checkIn}
        onLeave={onLeave}
      />
    );
  if (mode === 'hurting')
    return (
      <Hurting
        pack={pack}
        onGoOn={goOn}
        onTold={(report, advice) => {
          record.reported(segment ? lineageAt(segment.line) : null, report, advice);
        }}
        onSkip={() => act({ type: 'leave out', reason: 'pain' })}
        onStop={stop}
        onCheckIn={record.checkIn}
        onLeave={onLeave}
      />
    );
  if (mode === 'skipping')
    return <Skipping onSkip={(reason) => act({ type: 'leave out', reason })} onGoOn={goOn} />;
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
      onTap={() => act({ type: 'tap', at: clock() })}
      onPause={() => act({ type: 'stand still', as: 'paused' })}
      onBack={() => act({ type: 'back' })}
      onRepeat={() => act({ type: 'repeat line' })}
      counting={counting}
      countBefore={countBefore}
      onCount={count}
      onLess={() => act({ type: 'end set' })}
      onSkip={() => act({ type: 'stand still', as: 'skipping' })}
      onStop={() => act({ type: 'stand still', as: 'stopping' })}
      onHurt={() => act({ type: 'stand still', as: 'hurting' })}
      onLeave={onLeave}
    />
  );
}

/** Keeps on the device what a step of the session has to tell. */
function tell(
  record: Recorder,
  told: PlayerTold,
  lineageAt: (line: number) => string,
  choose: (change: Partial<Preferences>) => void,
): void {
  switch (told.type) {
    case 'begun':
      return record.begin();
    case 'reps':
      return record.reps(lineageAt(told.line), told.reps, told.index);
    case 'line over':
      return record.lineOver();
    case 'counted':
      return record.counted(lineageAt(told.line), told.count);
    case 'skipped':
      return record.skipped(lineageAt(told.line), told.reason, told.index);
    case 'ended':
      return void record.ended();
    case 'stopped':
      return void record.stopped(told.because);
    case 'paces learned':
      return choose({ paces: told.paces });
  }
}
