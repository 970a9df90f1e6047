'use client';

import { useCallback, useState } from 'react';
import type { PatientId } from '@/core/units';
import { useKeeping } from '../forms/use-keeping';
import type { Desk } from './desk-state';

export type OtherAtDesk = { readonly name: string; readonly minutesAgo: number };

/**
 * Keeps an unsaved desk, and learns who else is writing. Each member has a draft of their own:
 * nothing is overwritten.
 *
 * @param newest the version the desk is based on
 * @param start the desk as it was sent last; it is no draft
 */
export function useKeptDraft(
  patientId: PatientId,
  newest: number,
  desk: Desk,
  start: Desk,
  othersAtFirst: readonly OtherAtDesk[],
) {
  const [others, setOthers] = useState(othersAtFirst);
  const bodyOf = useCallback(
    (draft: Desk | null) => ({
      patientId,
      basedOn: newest,
      desk: draft === null ? null : JSON.stringify(draft),
    }),
    [patientId, newest],
  );
  const keeping = useKeeping<Desk, readonly OtherAtDesk[]>({
    path: '/api/v1/drafts',
    value: desk,
    unchanged: start,
    bodyOf,
    kept: setOthers,
  });
  return { ...keeping, others };
}

/** What was kept of an unsaved desk: null where it cannot be read any more. */
export type KeptDesk = { readonly desk: Desk | null; readonly basedOn: number };
