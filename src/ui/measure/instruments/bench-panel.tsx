'use client';

import { useState, useSyncExternalStore } from 'react';
import { SIMULATED, type SimulatedName } from '@/core/instruments';
import { Button } from '../../primitives/button';
import { type BenchState, benchState, playTrial, setBench, watchBench } from './bench';

const NOTHING: BenchState = { truth: 0, inReach: true, battery: 80 };

/** The bench of the simulated instruments: the true value of each is turned here. */
export function BenchPanel() {
  return (
    <details className="border-t border-hair pt-2">
      <summary className="font-semibold">Bench of the simulated instruments</summary>
      <p className="text-small text-soft">
        No device is attached to this demo build. Turn the true value here; the readings carry noise
        and drop-outs as a device’s do.
      </p>
      {(Object.keys(SIMULATED) as SimulatedName[]).map((name) => (
        <BenchDevice key={name} name={name} />
      ))}
    </details>
  );
}

function BenchDevice({ name }: { name: SimulatedName }) {
  const state = useSyncExternalStore(
    watchBench,
    () => benchState(name),
    () => NOTHING,
  );
  const { unit, range } = SIMULATED[name];
  const [aim, setAim] = useState(name === 'air cuff' ? 24 : 60);
  const most = range[1];
  return (
    <fieldset className="grid gap-1 border-b border-hair py-2">
      <legend className="font-medium">{name}</legend>
      <label className="flex items-center gap-2">
        <span className="sr-only">True value of the {name}</span>
        <input
          type="range"
          data-bench={name}
          className="min-w-0 flex-1"
          min={0}
          max={most}
          step={0.5}
          value={state.truth}
          onChange={(event) => setBench(name, { truth: Number(event.target.value) })}
        />
        <span className="figures w-20 text-right">
          {state.truth.toFixed(1)} {unit}
        </span>
      </label>
      <div className="flex flex-wrap items-center gap-2">
        <Button onClick={() => playTrial(name, aim, name === 'air cuff' ? 11 : 2)}>
          Play a trial<span className="sr-only"> of the {name}</span> to
        </Button>
        <label>
          <span className="sr-only">Trial value of the {name}</span>
          <input
            type="number"
            className="figures w-20 rounded border border-edge bg-sheet px-2 py-0.5"
            value={aim}
            min={0}
            max={most}
            onChange={(event) => setAim(Number(event.target.value))}
          />
        </label>
        <label className="flex items-center gap-1.5">
          <input
            type="checkbox"
            checked={state.inReach}
            onChange={(event) => setBench(name, { inReach: event.target.checked })}
          />
          in reach
        </label>
      </div>
    </fieldset>
  );
}
