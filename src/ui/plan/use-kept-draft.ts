'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { PatientId } from '@/core/units';
import { post } from '../forms/post';
import type { Desk } from './desk-state';

export type OtherAtDesk = { readonly name: string; readonly minutesAgo: number };
export type DraftState = 'nothing to keep' | 'keeping' | 'kept' | 'not kept';

/** Rest between the last change and its keeping, milliseconds. */
const AFTER_MS = 1200;

/**
 * Keeps an unsaved desk at the clinic, so that neither a reload nor another machine loses it, and
 * learns who else is writing. Each member has a draft of their own: nothing is overwritten.
 *
 * @param start the desk as it was sent last; it is no draft
 */
export function useKeptDraft(
  patientId: PatientId,
  newest: number,
  desk: Desk,
  start: Desk,
  othersAtFirst: readonly OtherAtDesk[],
) {
  const [state, setState] = useState<DraftState>('nothing to keep');
  const [others, setOthers] = useState(othersAtFirst);
  const saved = useRef(false);
  const known = useRef(desk);
  const sent = useRef(desk);

  const keep = useCallback(
    async (text: string | null) => {
      const answer = await post<readonly OtherAtDesk[]>('/api/v1/drafts', {
        patientId,
        basedOn: newest,
        desk: text,
      });
      setState(answer.ok ? 'kept' : 'not kept');
      if (answer.ok) setOthers(answer.value);
    },
    [patientId, newest],
  );

  useEffect(() => {
    if (saved.current || desk === known.current) return;
    known.current = desk;
    setState('keeping');
    const timer = setTimeout(() => {
      sent.current = desk;
      void keep(JSON.stringify(desk));
    }, AFTER_MS);
    return () => clearTimeout(timer);
  }, [desk, start, keep]);

  // A page that is left before its rest is over still hands over what it has.
  useEffect(() => {
    function leave() {
      if (saved.current || sent.current === known.current) return;
      void fetch('/api/v1/drafts', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ patientId, basedOn: newest, desk: JSON.stringify(known.current) }),
        keepalive: true,
      }).catch(() => undefined);
    }
    window.addEventListener('pagehide', leave);
    return () => window.removeEventListener('pagehide', leave);
  }, [patientId, newest]);

  /** For after saving: the server has dropped the draft with the version it made. */
  const forget = useCallback(() => {
    saved.current = true;
  }, []);

  /** Goes back to the desk as it was sent last. */
  const discard = useCallback(() => {
    void keep(null).then(() => setState('nothing to keep'));
  }, [keep]);

  return { state, others, forget, discard };
}

/** What was kept of an unsaved desk: null where it cannot be read any more. */
export type KeptDesk = { readonly desk: Desk | null; readonly basedOn: number };
