'use client';

import { useCallback, useEffect, useRef } from 'react';
import type { Desk } from './desk-state';

/**
 * Keeps an unsaved desk in this tab, so that a reload or a new sign-in loses nothing. It holds
 * doses and dates only, and is dropped when the programme has another version by then.
 *
 * @returns a function that forgets the kept draft, for after saving
 */
export function useKeptDraft(
  patientId: string,
  newest: number,
  desk: Desk,
  start: Desk,
  restore: (desk: Desk) => void,
): () => void {
  const key = `desk ${patientId} ${newest}`;
  const restored = useRef(false);
  const saved = useRef(false);

  useEffect(() => {
    if (restored.current) return;
    restored.current = true;
    const kept = sessionStorage.getItem(key);
    if (kept) restore(JSON.parse(kept) as Desk);
  }, [key, restore]);

  useEffect(() => {
    if (saved.current || desk === start) return;
    sessionStorage.setItem(key, JSON.stringify(desk));
  }, [key, desk, start]);

  return useCallback(() => {
    saved.current = true;
    sessionStorage.removeItem(key);
  }, [key]);
}
