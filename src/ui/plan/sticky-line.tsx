'use client';

import { type ReactNode, useEffect, useRef, useState } from 'react';

/**
 * The line of a file that stays at the top when its header is scrolled away: whose file it is, and the
 * steps of the visit.
 */
export function StickyLine({ name, children }: { name: string; children: ReactNode }) {
  const top = useRef<HTMLDivElement>(null);
  const [stuck, setStuck] = useState(false);
  useEffect(() => {
    if (!top.current) return;
    const watch = new IntersectionObserver(([entry]) => setStuck(entry?.isIntersecting === false));
    watch.observe(top.current);
    return () => watch.disconnect();
  }, []);
  return (
    <>
      <div ref={top} aria-hidden className="h-px" />
      <div className="file-line no-print z-20 flex items-stretch border-y border-hair bg-paper lg:sticky lg:top-0">
        {/* Beside the rail the name is said once already, in the heading. */}
        {stuck && (
          <p
            aria-hidden
            className="hidden max-w-64 items-center truncate pr-6 font-semibold lg:flex"
            dir="auto"
          >
            {name}
          </p>
        )}
        {children}
      </div>
    </>
  );
}
