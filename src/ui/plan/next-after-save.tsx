'use client';

import { QuietLink } from '@/ui/primitives/quiet-link';
import { useEffect, useRef } from 'react';
import type { PatientId } from '@/core/units';

/** What comes after a version was saved: it is nothing yet to a patient who has no link and was not taught. */
export function NextAfterSave({
  patientId,
  number,
  linkOpened,
  taught,
}: {
  patientId: PatientId;
  number: number;
  linkOpened: boolean;
  /** This very version. */
  taught: boolean;
}) {
  const title = useRef<HTMLHeadingElement>(null);
  // The desk begins anew with a version: the eye goes to what is next.
  useEffect(() => title.current?.focus(), []);
  const steps = [
    ...(taught ? [] : [{ href: 'teach', say: 'Teach it' }]),
    { href: 'handout', say: 'Print or e-mail the handout' },
    { href: 'note', say: 'Write the note' },
  ];
  return (
    <section
      aria-labelledby="after-save"
      className="mb-4 flex flex-wrap items-baseline gap-x-5 gap-y-1 border-l-2 border-lit py-1 pl-3"
    >
      <h2 id="after-save" ref={title} tabIndex={-1} className="font-semibold">
        Version {number} is saved.
      </h2>
      {steps.map(({ href, say }) => (
        <QuietLink
          key={href}
          href={`/patients/${patientId}/${href}`}
          className="text-action underline"
        >
          {say}
        </QuietLink>
      ))}
      {!linkOpened && (
        <span>The patient’s link was not opened yet: hand it over with the button above.</span>
      )}
    </section>
  );
}
