'use client';

import type { ReactNode } from 'react';
import type { KeptDesk, OtherAtDesk } from './use-kept-draft';

/** What a practitioner should know of this desk before they write: who else does, what was kept. */
export function DeskNotices({
  others,
  kept,
  newest,
  back,
  onAgain,
}: {
  others: readonly OtherAtDesk[];
  kept: KeptDesk | null;
  newest: number;
  /** The unsaved desk stands here as it was left. */
  back: boolean;
  onAgain: () => void;
}) {
  return (
    <>
      {others.length > 0 && (
        <Notice>
          Also writing:{' '}
          {others.map(({ name, minutesAgo }) => `${name}, ${minutesAgo} min ago`).join('; ')}.
          Nothing is overwritten: whoever saves second is told first.
        </Notice>
      )}
      {kept?.desk === null && (
        <Notice edge="border-stop">
          The unsaved desk that was kept for you cannot be read any more and is left aside. What was
          sent to the patient is whole: it stands below.
        </Notice>
      )}
      {back && (
        <Notice>
          Your unsaved desk is back
          {kept && kept.basedOn !== newest
            ? `; it was begun before version ${newest} was saved: look at that below.`
            : '.'}{' '}
          <button type="button" className="text-action underline" onClick={onAgain}>
            Begin from version {newest} instead
          </button>
        </Notice>
      )}
    </>
  );
}

function Notice({ edge = 'border-lit', children }: { edge?: string; children: ReactNode }) {
  return (
    <p className={`border-l-2 ${edge} pl-2`} role="status">
      {children}
    </p>
  );
}
