'use client';

import { type ReactNode, useEffect, useRef, useState } from 'react';

/**
 * Something folded away that is worked out and drawn only while it is open. One that somebody opened
 * before the page's scripts had run is found open.
 */
export function Fold({
  summary,
  summaryClass,
  children,
}: {
  readonly summary: ReactNode;
  readonly summaryClass?: string;
  readonly children: () => ReactNode;
}) {
  const details = useRef<HTMLDetailsElement>(null);
  const [isOpen, setOpen] = useState(false);
  useEffect(() => setOpen(details.current?.open ?? false), []);
  return (
    <details ref={details} onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className={summaryClass}>{summary}</summary>
      {isOpen && children()}
    </details>
  );
}
