/** How long a phone's screen waits for the clinic before it goes on with what is kept here. */
export const PATIENCE_MS = 8_000;

/**
 * What comes in time, else null: a connection that hangs neither answers nor fails, and nobody stands
 * before an empty screen for it. What is late goes on by itself.
 */
export async function inTime<T>(coming: Promise<T>, withinMs: number): Promise<T | null> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<null>((resolve) => {
    timer = setTimeout(() => resolve(null), withinMs);
  });
  try {
    return await Promise.race([coming, late]);
  } finally {
    clearTimeout(timer);
  }
}

/** After this a post or a look at the clinic is given up, and made again later; on a slow line a full post takes half of it. */
const GIVEN_UP_MS = 60_000;

/** Ends a request that hangs; without effect in a browser that cannot do so. */
export const givenUp = (): AbortSignal | null =>
  'timeout' in AbortSignal ? AbortSignal.timeout(GIVEN_UP_MS) : null;
