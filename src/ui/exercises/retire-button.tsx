'use client';

import { useRouter } from 'next/navigation';
import { toast } from 'sonner';
import { post } from '../forms/post';

/** Offers an exercise of the clinic's own no more. */
export function RetireButton({ id, name }: { id: string; name: string }) {
  const router = useRouter();
  async function retire() {
    const answer = await post('/api/v1/exercises/retire', { id });
    if (!answer.ok) return toast.error(answer.say);
    toast(`${name} is not offered any more. Programmes that have it keep it.`);
    return router.refresh();
  }
  return (
    <button
      type="button"
      className="text-action underline"
      aria-label={`Offer no more: ${name}`}
      onClick={retire}
    >
      Offer no more
    </button>
  );
}
