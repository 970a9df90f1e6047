'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { post, postOnLeaving } from './post';

export type KeepState = 'nothing to keep' | 'keeping' | 'kept' | 'not kept';

/** Rest between the last change and its keeping, milliseconds. */
const AFTER_MS = 1000;

type Keeping<Value, Told> = {
  readonly path: string;
  /** Changes identity when it changes; the first one is not kept. */
  readonly value: Value;
  /** The value that needs no keeping: going back to it drops what was kept. */
  readonly unchanged?: Value;
  /** What is posted, null to drop what was kept; it must not change identity by itself. */
  readonly bodyOf: (value: Value | null) => unknown;
  readonly kept?: (told: Told) => void;
};

/**
 * Keeps unsigned work at the clinic a moment after every change, and when the page is left, so that
 * neither a reload nor another machine loses it.
 *
 * @returns how far keeping is, and `forget` for after it was signed or sent, when the server has
 *   dropped it by itself
 */
export function useKeeping<Value, Told = unknown>({
  path,
  value,
  unchanged,
  bodyOf,
  kept,
}: Keeping<Value, Told>) {
  const [state, setState] = useState<KeepState>('nothing to keep');
  const known = useRef(value);
  const sent = useRef(value);
  const over = useRef(false);
  const told = useRef(kept);
  useEffect(() => {
    told.current = kept;
  }, [kept]);

  const draftOf = useCallback(
    (latest: Value) => bodyOf(latest === unchanged ? null : latest),
    [bodyOf, unchanged],
  );
  const keep = useCallback(
    async (latest: Value) => {
      const answer = await post<Told>(path, draftOf(latest));
      // It was signed or sent meanwhile: what arrived after that is dropped again.
      if (over.current) return void (await post(path, bodyOf(null)));
      setState(!answer.ok ? 'not kept' : latest === unchanged ? 'nothing to keep' : 'kept');
      if (answer.ok) told.current?.(answer.value);
    },
    [path, draftOf, bodyOf, unchanged],
  );

  useEffect(() => {
    if (over.current || value === known.current) return;
    known.current = value;
    setState('keeping');
    const timer = setTimeout(() => {
      if (over.current) return;
      sent.current = value;
      void keep(value);
    }, AFTER_MS);
    return () => clearTimeout(timer);
  }, [value, keep]);

  // A page that is left before its rest is over still hands over what it has.
  useEffect(() => {
    function leave() {
      if (over.current || sent.current === known.current) return;
      sent.current = known.current;
      postOnLeaving(path, draftOf(known.current));
    }
    // Before the next page is asked for, so that a reload finds it; the second where there is no first.
    window.addEventListener('beforeunload', leave);
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('beforeunload', leave);
      window.removeEventListener('pagehide', leave);
      leave();
    };
  }, [path, draftOf]);

  const forget = useCallback(() => {
    over.current = true;
    setState('nothing to keep');
  }, []);
  return { state, forget };
}
