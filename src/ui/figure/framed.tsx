import type { DoseSign } from '@/core/dose';
import type { ReactNode } from 'react';
import { DoseSigns } from './dose-signs';

/** A drawing with the side it is drawn for in its corner, and the signs of the dose below. */
export function Framed({
  side,
  signs = [],
  className = '',
  children,
}: {
  /** In words: "Left side"; empty where it has none. */
  side: string;
  signs?: readonly DoseSign[];
  className?: string;
  children: ReactNode;
}) {
  return (
    <div className={`relative flex flex-col items-center ${className}`}>
      {children}
      {side !== '' && (
        <p className="absolute top-0 left-0 rounded bg-ink px-1.5 text-fine font-semibold text-paper">
          {side}
        </p>
      )}
      <div className="text-small [&_.sign]:inline-flex [&_.sign]:items-center [&_.sign]:gap-1 [&_.signs]:flex [&_.signs]:flex-wrap [&_.signs]:justify-center [&_.signs]:gap-x-4 [&_.signs]:font-semibold">
        <DoseSigns signs={signs} />
      </div>
    </div>
  );
}
