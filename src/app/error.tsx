'use client';

import { Button } from '@/ui/primitives/button';

/**
 * Shown when a page cannot be made. The server gives its failures a digest, most often because the
 * record cannot be reached; without one it is the page itself that failed.
 */
export default function PageError({
  error,
  reset,
}: {
  error: Error & { digest?: string };
  reset: () => void;
}) {
  const atServer = error.digest !== undefined;
  return (
    <main className="mx-auto grid max-w-xl gap-3 px-5 py-16">
      <h1 className="text-2xl">
        {atServer ? 'The record cannot be reached just now' : 'Something on this page went wrong'}
      </h1>
      <p>
        {atServer
          ? 'Nothing was changed. Wait a moment and try again; if it stays so, tell whoever looks after the clinic’s server.'
          : 'What was saved before is in the record. Try again; if it stays so, load the page anew, and tell whoever looks after the clinic’s server.'}
      </p>
      <Button look="main" className="justify-self-start" onClick={reset}>
        Try again
      </Button>
    </main>
  );
}
