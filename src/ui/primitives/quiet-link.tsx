// oxlint-disable-next-line no-restricted-imports -- the one place
import Link from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A link that fetches its page when it is followed, not when it is scrolled into sight: a long list
 * of them would ask the server for hundreds of pages nobody opens.
 */
export function QuietLink(props: ComponentProps<typeof Link>) {
  return <Link prefetch={false} {...props} />;
}
