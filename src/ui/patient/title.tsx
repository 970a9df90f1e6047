'use client';

import { type ReactNode, useEffect, useRef } from 'react';

/** The name of a screen that has just come: the keyboard and a screen reader begin at it. */
export function Title({
  className = '',
  of = null,
  children,
}: {
  className?: string;
  /** What the screen is of: another one is begun at anew. */
  of?: string | null;
  children: ReactNode;
}) {
  const title = useRef<HTMLHeadingElement>(null);
  useEffect(() => title.current?.focus(), [of]);
  return (
    <h1 ref={title} tabIndex={-1} className={`text-2xl outline-none ${className}`}>
      {children}
    </h1>
  );
}
