'use client';

import { useSend } from '../forms/use-send';

/** Offers an exercise of the clinic's own no more. */
export function RetireButton({ id, name }: { id: string; name: string }) {
  const { send } = useSend();
  async function retire() {
    await send(
      '/api/v1/exercises/retire',
      { id },
      {
        said: `${name} is not offered any more. Programmes that have it keep it.`,
      },
    );
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
