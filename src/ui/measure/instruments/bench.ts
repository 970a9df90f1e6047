import {
  READING_EVERY,
  SIMULATED,
  type SimulatedName,
  seededChance,
  simulatedReading,
} from '@/core/instruments';
import { seconds } from '@/core/units';
import type { Connection, Instrument, InstrumentEvent } from './instrument';

/** What stands on the bench: the truth of each stand-in, turned by hand or by a test. */
export type BenchState = {
  readonly truth: number;
  readonly inReach: boolean;
  readonly battery: number;
};

const states = new Map<SimulatedName, BenchState>();
const watchers = new Set<() => void>();
const START: BenchState = { truth: 0, inReach: true, battery: 80 };

export function benchState(name: SimulatedName): BenchState {
  return states.get(name) ?? START;
}

export function setBench(name: SimulatedName, change: Partial<BenchState>): void {
  states.set(name, { ...benchState(name), ...change });
  for (const watcher of watchers) watcher();
}

/** For React's useSyncExternalStore. */
export function watchBench(watcher: () => void): () => void {
  watchers.add(watcher);
  return () => watchers.delete(watcher);
}

/** Turns the truth up to a value, holds it, and lets go: one trial, as a patient would make it. */
export function playTrial(name: SimulatedName, value: number, hold = 2): () => void {
  const begun = performance.now();
  const timer = setInterval(() => {
    const at = (performance.now() - begun) / 1000;
    const share = at < 0.8 ? at / 0.8 : at < 0.8 + hold ? 1 : 0;
    setBench(name, { truth: value * share });
    if (at > 1.2 + hold) clearInterval(timer);
  }, 30);
  return () => clearInterval(timer);
}

/** A stand-in for a device: its readings carry noise and drop-outs, and its signal can be lost. */
export function simulated(name: SimulatedName): Instrument {
  return {
    name,
    unit: SIMULATED[name].unit,
    async connect(listen: (event: InstrumentEvent) => void): Promise<Connection> {
      if (!benchState(name).inReach)
        throw new Error('The instrument is out of reach. Bring it nearer, then connect again.');
      const begun = performance.now();
      const chance = seededChance(Math.round(begun));
      let zero = 0;
      let reached = true;
      listen({ type: 'battery', percent: benchState(name).battery });
      const timer = setInterval(() => {
        const { truth, inReach } = benchState(name);
        if (inReach !== reached) {
          reached = inReach;
          listen({ type: inReach ? 'back' : 'lost' });
        }
        if (!inReach) return;
        const at = seconds((performance.now() - begun) / 1000);
        const reading = simulatedReading(truth - zero, at, SIMULATED[name], chance);
        if (reading) listen({ type: 'reading', reading });
      }, READING_EVERY * 1000);
      return {
        zero: () => {
          zero = benchState(name).truth;
        },
        disconnect: () => clearInterval(timer),
      };
    },
  };
}

/** A stopwatch: its readings are the seconds since it was connected. */
export const STOPWATCH: Instrument = {
  name: 'stopwatch',
  unit: 's',
  async connect(listen) {
    let begun = performance.now();
    const elapsed = () => seconds((performance.now() - begun) / 1000);
    const timer = setInterval(
      () => listen({ type: 'reading', reading: { at: elapsed(), value: elapsed() } }),
      100,
    );
    return {
      zero: () => {
        begun = performance.now();
      },
      disconnect: () => clearInterval(timer),
    };
  },
};
