'use client';

/** The last resort, when not even the frame of a page can be made. */
export default function GlobalError({ reset }: { error: Error; reset: () => void }) {
  return (
    <html lang="en">
      <body>
        <main>
          <h1>The record cannot be reached just now</h1>
          <p>Nothing was changed. Wait a moment and try again.</p>
          <button type="button" onClick={reset}>
            Try again
          </button>
        </main>
      </body>
    </html>
  );
}
