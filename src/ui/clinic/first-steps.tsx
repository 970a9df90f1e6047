import type { FirstStep } from '@/core/operating';
import { QuietLink } from '../primitives/quiet-link';

const STEPS: Readonly<Record<FirstStep, { say: string; href: string | null }>> = {
  patient: { say: 'Add the first patient', href: '/patients/new' },
  members: { say: 'Add those who work with you', href: '/clinic' },
  backup: {
    say: 'Have backups made: whoever looks after the server sets BACKUP_TO (docs/operating.md)',
    href: null,
  },
  address: {
    say: 'Give it an address patients can reach: PUBLIC_URL (docs/operating.md)',
    href: null,
  },
};

/** What a new clinic has still to do; it goes away by itself. */
export function FirstSteps({ left }: { left: readonly FirstStep[] }) {
  if (left.length === 0) return null;
  return (
    <section aria-labelledby="first-steps" className="mb-4 border-l-2 border-lit py-1 pl-3">
      <h2 id="first-steps" className="font-semibold">
        To begin with
      </h2>
      <ul>
        {left.map((step) => {
          const { say, href } = STEPS[step];
          return (
            <li key={step}>
              {href === null ? (
                say
              ) : (
                <QuietLink href={href} className="text-action underline">
                  {say}
                </QuietLink>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
