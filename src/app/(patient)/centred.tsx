import type { ReactNode } from 'react';

/** A page of a few lines in the middle of the screen, in the language of whoever reads it. */
export function Centred({ language, children }: { language: string; children: ReactNode }) {
  return (
    <main
      lang={language}
      className="patient mx-auto grid min-h-dvh max-w-lg content-center gap-4 px-5"
    >
      {children}
    </main>
  );
}
