'use client';

import { Button } from '@/ui/primitives/button';

/** Shown when a page cannot be made, most often because the record cannot be reached. */
export default function PageError({ reset }: { error: Error; reset: () => void }) {
  return (
    <main className="mx-auto grid max-w-xl gap-3 px-5 py-16">
      <h1 className="text-2xl">The record cannot be reached just now</h1>
      <p>
        Nothing was changed. Wait a moment and try again; if it stays so, tell whoever looks after
        the clinic’s server.
      </p>
      <Button look="main" className="justify-self-start" onClick={reset}>
        Try again
      </Button>
    </main>
  );
}
