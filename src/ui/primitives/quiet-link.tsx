'use client';

import { useRouter } from 'next/navigation';
import type { ComponentProps } from 'react';
import { isPlainClick } from './plain-click';

/**
 * A link to another page of ours, which is fetched when it is followed, not when it is scrolled into
 * sight: a long list of them would ask the server for hundreds of pages nobody opens. The framework's own
 * link would be 4 kB of every page for what is turned off here (decision 0077).
 */
export function QuietLink({ href, ...rest }: ComponentProps<'a'> & { readonly href: string }) {
  const router = useRouter();
  return (
    <a
      href={href}
      {...rest}
      onClick={(event) => {
        if (!isPlainClick(event, event.currentTarget)) return;
        event.preventDefault();
        router.push(href);
      }}
    />
  );
}
