'use client';

import { type ComponentType, Suspense, lazy, memo, useState, useSyncExternalStore } from 'react';

/**
 * A part that stands in the page from the start and wakes after what is typed in: its scripts are asked for
 * once the page's own have run. It is redrawn only when what it is given changes, since a key pressed before
 * its scripts have come must not make it draw itself without them; so it is given values that stay the same.
 *
 * @param Missing what stands in its place where its scripts do not come; the page goes on without it
 */
export function later<P extends object>(
  load: () => Promise<ComponentType<P>>,
  Missing: ComponentType<P>,
) {
  const Later = lateOf(load, Missing);
  return memo(function Part(props: P) {
    return (
      <Suspense>
        <Later {...props} />
      </Suspense>
    );
  });
}

/**
 * The same for a part that comes with its page and never afterwards: where the page is gone to from another
 * one, which draws nothing beforehand, it comes whole. Piece by piece it would move under the hand that is
 * about to press.
 */
export function laterWithPage<P extends object>(
  load: () => Promise<ComponentType<P>>,
  Missing: ComponentType<P>,
) {
  const Later = lateOf(load, Missing);
  const Woken = later(load, Missing);
  return memo(function Part(props: P) {
    const isDrawnNow = useDrawnByServer();
    const [isDrawn] = useState(isDrawnNow);
    return isDrawn ? <Woken {...props} /> : <Later {...props} />;
  });
}

/** Whether what is drawn now stands in the page already, as the server sent it. */
function useDrawnByServer(): boolean {
  return useSyncExternalStore(
    () => () => undefined,
    () => false,
    () => true,
  );
}

function lateOf<P extends object>(
  load: () => Promise<ComponentType<P>>,
  Missing: ComponentType<P>,
) {
  return lazy(() =>
    load().then(
      (made) => ({ default: made }),
      () => ({ default: Missing }),
    ),
  );
}

/** Where a part says of itself that it did not come. */
export function missing(say: string) {
  return function Missing() {
    return <p className="text-soft">{say}</p>;
  };
}
