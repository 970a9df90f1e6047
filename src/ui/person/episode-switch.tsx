'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import type { EpisodeId, PatientId } from '@/core/units';
import { pageIsOf } from '../forms/post';
import { useSend } from '../forms/use-send';

/**
 * Which of a patient's complaints the file is of, where more than one is treated. What is written is of
 * it; another window that still shows the other one is refused.
 */
export function EpisodeSwitch({
  patientId,
  episodes,
}: {
  patientId: PatientId;
  /** The one at hand first. */
  episodes: readonly { readonly id: EpisodeId; readonly complaint: string }[];
}) {
  const router = useRouter();
  const { busy, send } = useSend();
  const atHand = episodes[0]?.id;
  useEffect(() => {
    pageIsOf(`${patientId} ${atHand}`);
    return () => pageIsOf(null);
  }, [patientId, atHand]);
  const inOrder = [...episodes].sort((a, b) => (a.id < b.id ? -1 : 1));

  async function goOn(episodeId: EpisodeId) {
    await send(
      '/api/v1/episodes/at-hand',
      { patientId, episodeId },
      // Forms of the other complaint do not stay open.
      { done: () => router.push(`/patients/${patientId}?view=summary`) },
    );
  }
  return (
    <div role="group" aria-label="Complaint that is treated" className="flex flex-wrap gap-1 pt-1">
      {inOrder.map(({ id, complaint }) => (
        <button
          key={id}
          type="button"
          aria-pressed={id === atHand}
          disabled={busy}
          onClick={() => id !== atHand && goOn(id)}
          className={`min-h-8 max-w-full rounded border px-3 text-left ${
            id === atHand
              ? 'border-action bg-wash font-semibold'
              : 'border-edge bg-sheet text-action hover:underline'
          }`}
        >
          <bdi>{complaint}</bdi>
        </button>
      ))}
    </div>
  );
}
