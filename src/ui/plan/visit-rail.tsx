'use client';

import { QuietLink } from '@/ui/primitives/quiet-link';
import { usePathname } from 'next/navigation';
import type { PatientId } from '@/core/units';
import type { VisitStep } from '@/core/visits';

/** The steps of a visit in their order. */
const STEPS = [
  { path: 'screen', name: 'Screen' },
  { path: 'measure', name: 'Measure' },
  { path: 'plan', name: 'Plan' },
  { path: 'teach', name: 'Teach' },
  { path: 'follow', name: 'Follow' },
] as const;

/** Pages that belong to a step: the stairs are looked at from the desk, note and handout end a teaching. */
const STEP_OF = [
  [/\/stairs$/, '/plan'],
  [/\/(note|handout)$/, '/teach'],
  [/\/review(\/.*)?$/, '/follow'],
] as const;

export function VisitRail({
  patientId,
  done,
}: {
  patientId: PatientId;
  /** Of which something was done at today's visit. */
  done: readonly VisitStep[];
}) {
  const here = usePathname();
  return (
    <nav aria-label="Visit" className="no-print">
      <ol className="flex flex-wrap">
        <li className="flex items-center">
          <QuietLink
            href={`/patients/${patientId}?view=summary`}
            aria-current={here === `/patients/${patientId}` ? 'page' : undefined}
            className={`py-2 pr-4 whitespace-nowrap ${here === `/patients/${patientId}` ? 'font-semibold text-ink' : 'text-action hover:underline'}`}
          >
            Summary
          </QuietLink>
        </li>
        {STEPS.map(({ path, name }, index) => {
          const address = `/patients/${patientId}/${path}`;
          const shown = STEP_OF.reduce((path, [page, step]) => path.replace(page, step), here);
          const current = shown === address || shown.startsWith(`${address}/`);
          return (
            <li key={path} className="flex items-center">
              {index > 0 && <span aria-hidden className="h-px w-2 bg-hair sm:w-8" />}
              <QuietLink
                href={address}
                aria-current={current ? 'step' : undefined}
                className={`flex items-center gap-2 px-2 py-2 whitespace-nowrap sm:px-3 ${current ? 'font-semibold text-ink' : 'text-action hover:underline'}`}
              >
                <span
                  aria-hidden
                  className={`h-4 w-1.5 rounded-sm ${done.includes(path) ? 'bg-lit' : 'border border-dark-rib'}`}
                />
                {name}
                {done.includes(path) && <span className="sr-only">, done in this visit</span>}
              </QuietLink>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
