'use client';

import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import type { PatientPack } from '@/core/exchange';
import type { LocalDate } from '@/core/units';
import { type Begun, type Playing, playingOf } from './begun';

type Known = {
  /** The whole pack; null until it has come, 'nowhere' where it has not. */
  readonly whole: PatientPack | null | 'nowhere';
  readonly today: LocalDate;
  /** A stop that the clinic does not know yet. */
  readonly stopped: boolean;
};

/**
 * What was touched to begin, and what plays of it. It plays as soon as the whole pack is here, and stays as it was
 * when it began: a new version of the programme that comes meanwhile is for the next session.
 */
export function usePlaying({ whole, today, stopped }: Known) {
  const [begun, setBegun] = useState<Begun | null>(null);
  const [playing, setPlaying] = useState<Playing | null>(null);
  /** What was touched is not there today. */
  const [moved, setMoved] = useState(false);

  const play = (touched: Begun): boolean => {
    if (whole === null || whole === 'nowhere') return false;
    const next = playingOf(touched, whole, today, stopped);
    setPlaying(next);
    setMoved(next === null);
    return true;
  };
  const now = useRef(play);
  useLayoutEffect(() => {
    now.current = play;
  });
  useEffect(() => {
    if (begun && now.current(begun)) setBegun(null);
  }, [begun, whole, today]);

  const begin = useCallback((touched: Begun) => {
    setMoved(false);
    if (!now.current(touched)) setBegun(touched);
  }, []);
  const end = useCallback(() => {
    setBegun(null);
    setPlaying(null);
  }, []);
  return { begun, playing, moved, begin, end };
}
