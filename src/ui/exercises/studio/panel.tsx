import type { ReactNode } from 'react';

/** A part of the studio that can be folded away. */
export function Panel({
  title,
  open = false,
  children,
}: {
  title: string;
  open?: boolean;
  children: ReactNode;
}) {
  return (
    <details open={open} className="border-b border-hair pb-2">
      <summary className="py-1.5 font-semibold">{title}</summary>
      <div className="pt-1">{children}</div>
    </details>
  );
}
