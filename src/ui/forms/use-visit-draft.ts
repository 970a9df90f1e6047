'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { PatientId } from '@/core/units';
import { post } from './post';

export type KeepState = 'nothing to keep' | 'keeping' | 'kept' | 'not kept';

/** Rest between the last change and its keeping, milliseconds. */
const AFTER_MS = 1000;
const PATH = '/api/v1/visit-drafts';

/**
 * Keeps what is not signed yet at the clinic, so that neither a reload nor another machine loses it.
 *
 * @param value changes identity when it changes; the first one is not kept
 * @returns how far keeping is, and `forget` for after signing
 */
export function useVisitDraft(patientId: PatientId, kind: 'teach' | 'note', value: unknown) {
  const [state, setState] = useState<KeepState>('nothing to keep');
  const known = useRef(value);
  const sent = useRef(value);
  const over = useRef(false);

  useEffect(() => {
    if (over.current || value === known.current) return;
    known.current = value;
    setState('keeping');
    const timer = setTimeout(() => {
      sent.current = value;
      void post(PATH, { patientId, kind, body: JSON.stringify(value) }).then((answer) =>
        setState(answer.ok ? 'kept' : 'not kept'),
      );
    }, AFTER_MS);
    return () => clearTimeout(timer);
  }, [value, patientId, kind]);

  // A page that is left before its rest is over still hands over what it has.
  useEffect(() => {
    function leave() {
      if (over.current || sent.current === known.current) return;
      sent.current = known.current;
      void fetch(PATH, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ patientId, kind, body: JSON.stringify(known.current) }),
        keepalive: true,
      }).catch(() => undefined);
    }
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      leave();
    };
  }, [patientId, kind]);

  const forget = useCallback(() => {
    over.current = true;
    setState('nothing to keep');
  }, []);
  return { state, forget };
}

export const KEEP_WORDS: Readonly<Record<KeepState, string>> = {
  'nothing to keep': '',
  keeping: 'Keeping …',
  kept: 'Kept, not signed.',
  'not kept': 'Could not be kept: it is only on this page.',
};
