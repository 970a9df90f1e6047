'use client';

import { useCallback, useEffect, useState } from 'react';
import { part, usePart } from './on-demand';
import { takeSayings, whenUnsaid } from './toast';

const SHOWN = part(() => import('./toasts-shown').then((made) => made.ToastsShown));

/** What is said for a moment. What shows it comes while the page is at rest, or with the first saying. */
export function Toasts() {
  const [wanted, setWanted] = useState(false);
  useEffect(() => whenUnsaid(() => setWanted(true)), []);
  const Shown = usePart(
    SHOWN,
    wanted,
    // It does not come, as without a connection: then plainly, since it may be what went wrong.
    useCallback(() => {
      setWanted(false);
      alert(
        takeSayings()
          .map(({ say }) => say)
          .join('\n'),
      );
    }, []),
  );
  return Shown && <Shown />;
}
