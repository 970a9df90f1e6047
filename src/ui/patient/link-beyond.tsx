'use client';

/**
 * A link to a page that this phone's worker does not look after: without a signal it leads to the page
 * that says so, instead of the browser's own.
 */
export function LinkBeyond({ href, children }: { href: string; children: string }) {
  return (
    <a
      href={href}
      className="inline-block min-h-11 py-2 text-action underline"
      onClick={(event) => {
        if (navigator.onLine) return;
        event.preventDefault();
        location.assign('/today/offline');
      }}
    >
      {children}
    </a>
  );
}
