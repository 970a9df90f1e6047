'use client';

import { useEffect, useMemo, useRef } from 'react';
import { type TrialMethod, longestHold, trialState } from '@/core/instruments';
import { CUFF_HOLD_SECONDS, type InstrumentName } from '@/core/measures';
import { Button } from '../../primitives/button';
import { STOPWATCH, simulated } from './bench';
import type { Instrument } from './instrument';
import { PHONE_SENSOR } from './phone';
import { type InstrumentFeed, useInstrument } from './use-instrument';

const DEVICES: Partial<Record<InstrumentName, Instrument>> = {
  inclinometer: simulated('inclinometer'),
  'push dynamometer': simulated('push dynamometer'),
  'air cuff': simulated('air cuff'),
  stopwatch: STOPWATCH,
  'phone sensor': PHONE_SENSOR,
};

/** True for instruments that send readings. */
export function canBeRead(name: InstrumentName): boolean {
  return DEVICES[name] !== undefined;
}

/** Reads trials from an instrument's stream; the application takes peak, level or time itself. */
export function Reader({
  name,
  target,
  onTrial,
  onClose,
}: {
  name: InstrumentName;
  /** For the air cuff: the pressure to hold, mmHg. */
  target?: number;
  onTrial: (value: number) => void;
  onClose: () => void;
}) {
  const device = DEVICES[name] ?? STOPWATCH;
  const feed = useInstrument(device);
  const last = feed.readings.at(-1);
  return (
    <div className="grid gap-2 border-l-2 border-action py-1 pl-3" role="group" aria-label={name}>
      <div className="flex flex-wrap items-center gap-3">
        <output className="figures min-w-28 text-2xl" aria-live="off" data-testid="reading">
          {last && feed.state !== 'off'
            ? `${last.value.toFixed(name === 'push dynamometer' ? 0 : 1)} ${device.unit}`
            : '–'}
        </output>
        {feed.state === 'off' && (
          <Button onClick={() => void feed.connect()}>
            {name === 'stopwatch' ? 'Start' : `Connect the ${name}`}
          </Button>
        )}
        {feed.state !== 'off' && name !== 'stopwatch' && (
          <Button onClick={() => feed.zero()}>Zero here</Button>
        )}
        {name === 'stopwatch' && feed.state === 'on' && (
          <Button
            look="main"
            onClick={() => {
              if (last) onTrial(last.value);
              feed.disconnect();
            }}
          >
            Stop and take it
          </Button>
        )}
        <Button look="quiet" onClick={onClose}>
          Close
        </Button>
        {feed.battery !== null && (
          <span className="text-small text-soft">battery {feed.battery} %</span>
        )}
      </div>
      <p role="status" className={feed.state === 'lost' ? 'text-stop' : 'text-soft'}>
        {feed.say}
        {feed.state === 'connecting' && 'Connecting …'}
        {feed.state === 'lost' && 'Signal lost. Bring the instrument nearer.'}
      </p>
      {name === 'push dynamometer' && <TrialTaker feed={feed} method="peak" onTrial={onTrial} />}
      {(name === 'inclinometer' || name === 'phone sensor') && (
        <TrialTaker feed={feed} method="level" onTrial={onTrial} />
      )}
      {name === 'air cuff' && target !== undefined && (
        <HoldTaker feed={feed} target={target} onTrial={onTrial} />
      )}
    </div>
  );
}

/** Watches the stream for a push or a movement, and takes it by itself. */
function TrialTaker({
  feed,
  method,
  onTrial,
}: {
  feed: InstrumentFeed;
  method: TrialMethod;
  onTrial: (value: number) => void;
}) {
  const state = useMemo(() => trialState(method, feed.readings), [method, feed.readings]);
  const taken = useRef(false);
  const { clear } = feed;
  const back = (feed.readings.at(-1)?.value ?? 0) < 5;
  useEffect(() => {
    if (state.kind === 'done' && !taken.current) {
      taken.current = true;
      onTrial(state.value);
    }
    // The next one begins once it came back to zero.
    if (taken.current && back) {
      taken.current = false;
      clear();
    }
  }, [state, back, clear, onTrial]);
  if (feed.state === 'off' || feed.state === 'connecting') return null;
  return (
    <p role="status" className="flex flex-wrap items-center gap-2">
      {state.kind === 'waiting' &&
        (method === 'peak' ? 'Push when ready.' : 'Move to the end, and stay there.')}
      {state.kind === 'running' && (method === 'peak' ? 'Pushing …' : 'Moving …')}
      {state.kind === 'done' && 'Taken. Come back to the start for the next one.'}
      {state.kind === 'broken' && (
        <>
          The signal was lost during this trial, so it does not count. Take it again.
          <Button onClick={clear}>Again</Button>
        </>
      )}
    </p>
  );
}

/** Counts ten-second holds within a millimetre of mercury of the target. */
function HoldTaker({
  feed,
  target,
  onTrial,
}: {
  feed: InstrumentFeed;
  target: number;
  onTrial: (seconds: number) => void;
}) {
  const hold = useMemo(
    () => longestHold(feed.readings, [target - 1, target + 1]),
    [feed.readings, target],
  );
  const { clear } = feed;
  useEffect(() => {
    if (hold.seconds < CUFF_HOLD_SECONDS) return;
    onTrial(hold.seconds);
    clear();
  }, [hold, clear, onTrial]);
  if (feed.state === 'off') return null;
  return (
    <p role="status">
      Hold at {target} mmHg: {hold.seconds.toFixed(0)} of {CUFF_HOLD_SECONDS} s
      {hold.broken && '; the signal was lost meanwhile, so the rest is not counted'}.
    </p>
  );
}
