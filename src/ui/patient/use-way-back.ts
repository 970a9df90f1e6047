'use client';

import { useEffect, useRef } from 'react';

/**
 * Lets the phone's Back close what was opened over this page, instead of leaving the page: opening it adds
 * a step to the way back, and closing it by its own buttons takes that step away again.
 *
 * @param isOpen whether something is open
 * @param close closes it; what was done in it is kept, as when the page is left
 */
export function useWayBack(isOpen: boolean, close: () => void): void {
  const closing = useRef(close);
  useEffect(() => {
    closing.current = close;
  });
  useEffect(() => {
    if (!isOpen) return;
    window.history.pushState(null, '');
    let isBack = false;
    const back = () => {
      isBack = true;
      closing.current();
    };
    window.addEventListener('popstate', back);
    return () => {
      window.removeEventListener('popstate', back);
      if (!isBack) window.history.back();
    };
  }, [isOpen]);
}
