'use client';

import { useEffect, useRef } from 'react';
import { toast } from '../primitives/toast';
import type { PutAsked } from '@/core/records';

/** Puts it down, and says what was put down; null where that is seen anyway, or there is no such thing. */
type PutDown = Readonly<Record<PutAsked['what'], (id: string) => string | null>>;

/**
 * Puts down what the address asks for, once: the address is written anew before, so that neither a
 * reload nor Back puts it down again. It can be undone as anything on the desk.
 */
export function usePutDown(asked: PutAsked | null, putDown: PutDown): void {
  const how = useRef(putDown);
  useEffect(() => {
    how.current = putDown;
  });
  const isDone = useRef(false);
  useEffect(() => {
    if (!asked || isDone.current) return;
    isDone.current = true;
    window.history.replaceState(null, '', window.location.pathname);
    const say = how.current[asked.what](asked.id);
    if (say !== null) toast(say);
  }, [asked]);
}
