'use client';

import { useCallback, useRef, useState } from 'react';
import { toast } from '../primitives/toast';
import { v4 as uuid } from 'uuid';
import type { PatientId } from '@/core/units';
import { post } from '../forms/post';

/**
 * Where sessions were put by hand. The day plan is a record of its own beside the programme: each
 * drag supersedes the plan before, one after the other.
 */
export function useDayPlan(
  patientId: PatientId,
  start: Readonly<Record<string, number>>,
  startId: string | null,
  today: string,
) {
  const [dragged, setDragged] = useState(start);
  const last = useRef(startId);
  const queue = useRef<Promise<void>>(Promise.resolve());

  const drag = useCallback(
    (key: string, minute: number) => {
      const at = { ...dragged, [key]: minute };
      setDragged(at);
      queue.current = queue.current.then(async () => {
        const id = uuid();
        const answer = await post('/api/v1/entries', {
          id,
          patientId,
          kind: 'day-plan',
          supersedes: last.current,
          on: today,
          body: { at },
        });
        if (answer.ok) last.current = id;
        else toast.error(`The time was not kept. ${answer.say}`);
      });
    },
    [dragged, patientId, today],
  );
  return { dragged, drag };
}
