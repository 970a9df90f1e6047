'use client';

import { type ComponentType, Suspense, lazy, memo } from 'react';

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
  const Later = lazy(() =>
    load().then(
      (made) => ({ default: made }),
      () => ({ default: Missing }),
    ),
  );
  return memo(function Part(props: P) {
    return (
      <Suspense>
        <Later {...props} />
      </Suspense>
    );
  });
}

/** Where a part says of itself that it did not come. */
export function missing(say: string) {
  return function Missing() {
    return <p className="text-soft">{say}</p>;
  };
}
