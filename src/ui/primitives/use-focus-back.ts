'use client';

import { useRef } from 'react';

/**
 * What a dialog without a button of its own does with the focus: it goes back to where it was when the
 * dialog came. The primitive gives it back to its own button only, and else nobody has it.
 */
export function useFocusBack() {
  const from = useRef<Element | null>(null);
  return {
    onOpenAutoFocus: () => {
      from.current = document.activeElement;
    },
    onCloseAutoFocus: () => {
      if (from.current instanceof HTMLElement) from.current.focus();
    },
  };
}
