'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';

/** The steps of a visit in their order. Steps that are not built yet are not shown. */
const STEPS = [
  { path: 'plan', name: 'Plan' },
  { path: 'follow', name: 'Follow' },
] as const;

export function VisitRail({ patientId }: { patientId: string }) {
  const here = usePathname();
  return (
    <nav aria-label="Visit" className="no-print border-y border-hair">
      <ol className="flex">
        {STEPS.map(({ path, name }, index) => {
          const address = `/patients/${patientId}/${path}`;
          const current = here === address;
          return (
            <li key={path} className="flex items-center">
              {index > 0 && <span aria-hidden className="h-px w-8 bg-hair" />}
              <Link
                href={address}
                aria-current={current ? 'step' : undefined}
                className={`flex items-center gap-2 px-3 py-2 ${current ? 'font-semibold text-ink' : 'text-action hover:underline'}`}
              >
                <span
                  aria-hidden
                  className={`h-4 w-1.5 rounded-sm ${current ? 'bg-lit' : 'border border-dark-rib'}`}
                />
                {name}
              </Link>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
