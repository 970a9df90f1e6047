'use client';

import { usePathname, useSearchParams } from 'next/navigation';
import { useEffect, useState } from 'react';
import { isPlainClick } from './plain-click';

/** A page that comes sooner needs no word. */
const SILENT_MS = 400;

/** Whether a click leads this page to another one of ours. */
function leadsOn(event: MouseEvent): boolean {
  const link = event.target instanceof Element ? event.target.closest('a') : null;
  if (!link || !isPlainClick(event, link)) return false;
  const { origin, pathname, search } = new URL(link.href, location.href);
  return origin === location.origin && pathname + search !== location.pathname + location.search;
}

/** Says that the next page is on its way, where it takes longer than a moment: nobody presses twice. */
export function WaitingLine() {
  const here = `${usePathname()}?${useSearchParams().toString()}`;
  const [from, setFrom] = useState<string | null>(null);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = (event: MouseEvent) => {
      if (!leadsOn(event)) return;
      clearTimeout(timer);
      timer = setTimeout(() => setFrom(here), SILENT_MS);
    };
    window.addEventListener('click', look, { capture: true });
    return () => {
      clearTimeout(timer);
      window.removeEventListener('click', look, { capture: true });
    };
  }, [here]);
  const waits = from === here;
  return (
    <p
      role="status"
      className={`no-print pointer-events-none fixed inset-x-0 top-0 z-50 ${waits ? 'border-t-4 border-lit' : ''}`}
    >
      {waits && (
        <span className="mx-auto block w-fit rounded-b bg-sheet px-3 py-1 text-small">
          Loading …
        </span>
      )}
    </p>
  );
}
