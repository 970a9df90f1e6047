'use client';

import { type ComponentProps, useEffect, useRef } from 'react';
import { awaken } from './early-submit';

/**
 * A form that the page's own scripts send. Sent before they have come, it waits for them and is sent then
 * (`EarlySubmit`); should they never come, nothing of it ever stands in an address.
 */
export function Form({ ref, ...props }: ComponentProps<'form'>) {
  const own = useRef<HTMLFormElement | null>(null);
  useEffect(() => {
    if (own.current) awaken(own.current);
  }, []);
  return (
    <form
      method="post"
      data-waits=""
      {...props}
      ref={(node) => {
        own.current = node;
        if (typeof ref === 'function') ref(node);
        else if (ref) ref.current = node;
      }}
    />
  );
}
