'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';

/**
 * A page that Back or Forward brings again shows the record as it is now, not as it was when it was
 * left: what stood there may have been written anew since.
 */
export function Reread() {
  const router = useRouter();
  useEffect(() => {
    const again = () => router.refresh();
    // A whole document that the browser had put away, with everything in it as it was.
    const restored = (event: PageTransitionEvent) => {
      if (event.persisted) window.location.reload();
    };
    window.addEventListener('popstate', again);
    window.addEventListener('pageshow', restored);
    return () => {
      window.removeEventListener('popstate', again);
      window.removeEventListener('pageshow', restored);
    };
  }, [router]);
  return null;
}
