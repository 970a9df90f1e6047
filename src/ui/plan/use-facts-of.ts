'use client';

import { useMemo } from 'react';
import { catalogueOf } from '@/catalogue';
import type { DeskFacts } from './desk-facts';
import type { PlanDeskProps } from './plan-desk';

/** What the desk knows of patient and clinic, the same value as long as nothing of it changes. */
export function useFactsOf(props: PlanDeskProps): DeskFacts {
  const { patientId, episodes, own, precautions, waking, zone, home, bands, setUp } = props;
  const { goodSessions, leastRungDays, facts } = props;
  return useMemo(
    () => ({
      patientId,
      episodes,
      catalogue: catalogueOf(own),
      precautions,
      waking,
      zone,
      home,
      bands,
      setUp,
      goodSessions,
      leastRungDays,
      maxima: facts.measures.flatMap(({ kind, side, value }) =>
        kind.startsWith('strength-') && value !== null ? [{ kind, side, newtons: value }] : [],
      ),
    }),
    [
      patientId,
      episodes,
      own,
      precautions,
      waking,
      zone,
      home,
      bands,
      setUp,
      goodSessions,
      leastRungDays,
      facts,
    ],
  );
}
