'use client';

import { useCallback } from 'react';
import type { VisitDraftRecord } from '@/core/records';
import type { PatientId } from '@/core/units';
import { type KeepState, useKeeping } from './use-keeping';

type VisitDraftKind = VisitDraftRecord['kind'];

/** Keeps what is not signed or saved yet of a visit. */
export function useVisitDraft(patientId: PatientId, kind: VisitDraftKind, value: unknown) {
  const bodyOf = useCallback(
    (draft: unknown) => ({ patientId, kind, body: JSON.stringify(draft) }),
    [patientId, kind],
  );
  return useKeeping({ path: '/api/v1/visit-drafts', value, bodyOf });
}

export const KEEP_WORDS: Readonly<Record<KeepState, string>> = {
  'nothing to keep': '',
  keeping: 'Keeping …',
  kept: 'Kept, not signed.',
  'not kept': 'Could not be kept: it is only on this page.',
};
