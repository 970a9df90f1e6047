'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { v4 as uuid } from 'uuid';
import { SHARE_BEAT_MS, type ShareStanding, type SharedCount } from '@/core/share';
import type { PatientId } from '@/core/units';
import { type Answer, post, postOnLeaving } from '../forms/post';
import { useServerClock } from './use-server-clock';

type Stands = { readonly standing: ShareStanding; readonly phone: boolean };
type Shown = { readonly lineage: string; readonly count: SharedCount } | null;
/** How the desk's count stands, before it is known when that was by the server's clock. */
export type CountNow = Omit<SharedCount, 'at'>;

/** As one is shown, ended, or left by a page that was loaded anew. */
export type Showing =
  | { readonly kind: 'off'; readonly say: string; readonly refused: boolean }
  | { readonly kind: 'left' }
  | { readonly kind: 'on'; readonly phone: boolean; readonly cut: boolean };

/**
 * Shows a patient's phone what this desk shows. Every change is told at once, and at every beat that the
 * desk is still there; leaving the page by a link of the application ends it.
 *
 * @param left what was being shown when the page was loaded anew
 */
export function useShowing(
  patientId: PatientId,
  left: { readonly id: string; readonly turn: number } | null,
) {
  const clock = useServerClock();
  const [showing, setShowing] = useState<Showing>(
    left ? { kind: 'left' } : { kind: 'off', say: '', refused: false },
  );
  const id = useRef(left?.id ?? '');
  const turn = useRef(left?.turn ?? 0);
  const shown = useRef<Shown>(null);
  const isOn = showing.kind === 'on';
  const on = useRef(false);

  const over = useCallback((say: string, refused = false) => {
    on.current = false;
    id.current = '';
    setShowing({ kind: 'off', say, refused });
  }, []);

  const tell = useCallback(async () => {
    if (!on.current) return;
    const mine = id.current;
    turn.current += 1;
    const answer: Answer<Stands> = await post('/api/v1/shares', {
      id: mine,
      patientId,
      turn: turn.current,
      does: 'show',
      shown: shown.current,
    });
    if (!on.current || id.current !== mine) return;
    if (answer.ok && answer.value.standing === 'over') over('It was ended.');
    else if (answer.ok) setShowing({ kind: 'on', phone: answer.value.phone, cut: false });
    // No connection: the phone goes on by itself, and this desk tries again at the next beat.
    else if (answer.status === 0)
      setShowing((was) => (was.kind === 'on' ? { ...was, cut: true } : was));
    else over(answer.say, true);
  }, [patientId, over]);

  /** What the desk shows now; told to the phone where one looks on. */
  const put = useCallback(
    (lineage: string | null, count: CountNow | null) => {
      shown.current = lineage && count ? { lineage, count: { ...count, at: clock.now() } } : null;
      void tell();
    },
    [clock, tell],
  );

  const begin = useCallback(() => {
    id.current ||= uuid();
    on.current = true;
    setShowing({ kind: 'on', phone: false, cut: false });
    void tell();
  }, [tell]);

  const ending = useCallback(
    () => ({ id: id.current, patientId, turn: turn.current + 1, does: 'end', shown: null }),
    [patientId],
  );

  const end = useCallback(async () => {
    const answer = await post('/api/v1/shares', ending());
    over(answer.ok ? 'Ended.' : answer.say, !answer.ok);
  }, [ending, over]);

  useEffect(() => {
    if (!isOn) return;
    const timer = setInterval(() => void tell(), SHARE_BEAT_MS);
    return () => clearInterval(timer);
  }, [isOn, tell]);

  useEffect(
    () => () => {
      if (on.current) postOnLeaving('/api/v1/shares', ending());
      on.current = false;
    },
    [ending],
  );

  return { showing, put, begin, end };
}
