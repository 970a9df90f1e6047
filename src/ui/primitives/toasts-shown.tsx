'use client';

import { useEffect, useLayoutEffect, useState } from 'react';
import { Toaster, toast, useSonner } from 'sonner';
import { type Saying, speakThrough } from './toast';
import { TOAST_PLACES, type ToastPlace, freestPlace } from './toast-place';

const CONTROLS = 'a[href], button, input, select, textarea, summary, [tabindex="0"]';

/** What can be touched on the screen as it stands, but for what is said for a moment itself. */
function controlsInSight() {
  return [...document.querySelectorAll(CONTROLS)]
    .filter((one) => one.closest('[data-sonner-toaster]') === null)
    .map((one) => one.getBoundingClientRect())
    .filter(({ width, height }) => width > 0 && height > 0);
}

function speak({ kind, say, action }: Saying) {
  if (kind === 'error') toast.error(say, { action });
  else toast(say, { action });
}

/** What is said for a moment, where it covers nothing that can be touched, or else the least. */
export function ToastsShown() {
  const isSaid = useSonner().toasts.length > 0;
  const [place, setPlace] = useState<ToastPlace>(TOAST_PLACES[0]);
  // It is found once for as long as anything stands there: nothing jumps while it is read.
  useLayoutEffect(() => {
    if (!isSaid) return;
    const { clientWidth: width, clientHeight: height } = document.documentElement;
    setPlace(freestPlace(controlsInSight(), { width, height }));
  }, [isSaid]);
  // After what shows it has begun to listen, which is within this.
  useEffect(() => speakThrough(speak), []);
  return <Toaster position={place} visibleToasts={3} />;
}
