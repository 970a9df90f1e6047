import type { ReactNode } from 'react';

/** The same in the clinic's language, while nobody of the clinic has checked the patient's. */
export function Beside({ language, children }: { language: string; children: ReactNode }) {
  return (
    <span
      lang={language}
      dir="ltr"
      className="block border-s-2 border-hair ps-2 text-start text-small text-soft"
    >
      {children}
    </span>
  );
}
