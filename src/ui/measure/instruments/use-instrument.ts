'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Reading } from '@/core/instruments';
import type { Connection, Instrument } from './instrument';

export type InstrumentFeed = {
  readonly state: 'off' | 'connecting' | 'on' | 'lost';
  /** Readings since the last `clear`. */
  readonly readings: readonly Reading[];
  readonly battery: number | null;
  /** Why it could not be had. */
  readonly say: string;
  readonly connect: () => Promise<void>;
  readonly zero: () => void;
  readonly clear: () => void;
  readonly disconnect: () => void;
};

/** Longest stream kept, readings: a minute at twenty a second. */
const MOST_READINGS = 1200;

/** One instrument's connection and stream, ended with the component. */
export function useInstrument(instrument: Instrument): InstrumentFeed {
  const [state, setState] = useState<InstrumentFeed['state']>('off');
  const [readings, setReadings] = useState<readonly Reading[]>([]);
  const [battery, setBattery] = useState<number | null>(null);
  const [say, setSay] = useState('');
  const connection = useRef<Connection | null>(null);

  const disconnect = useCallback(() => {
    connection.current?.disconnect();
    connection.current = null;
    setState('off');
  }, []);
  useEffect(() => disconnect, [disconnect, instrument]);

  const connect = useCallback(async () => {
    setState('connecting');
    setSay('');
    setReadings([]);
    try {
      connection.current = await instrument.connect((event) => {
        switch (event.type) {
          case 'reading':
            return setReadings((before) => [...before.slice(1 - MOST_READINGS), event.reading]);
          case 'lost':
            return setState('lost');
          case 'back':
            return setState('on');
          case 'battery':
            return setBattery(event.percent);
        }
      });
      setState('on');
    } catch (error) {
      setState('off');
      setSay(error instanceof Error ? error.message : 'The instrument cannot be reached.');
    }
  }, [instrument]);

  const clear = useCallback(() => setReadings([]), []);
  const zero = useCallback(() => {
    connection.current?.zero();
    setReadings([]);
  }, []);
  return { state, readings, battery, say, connect, zero, clear, disconnect };
}
