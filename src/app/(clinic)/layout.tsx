import { roleSuffices } from '@/server/access';
import { requireAnyMember } from '@/server/require';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { Suspense } from 'react';
import { Toasts } from '@/ui/primitives/toasts';
import { CLINIC_CAUTION } from '@/catalogue';
import { Reread } from '@/ui/forms/reread';
import { SignInAgain } from '@/ui/forms/sign-in-again';
import { WaitingLine } from '@/ui/primitives/waiting-line';
import { FindPatient } from '@/ui/person/find-patient';
import { LockButton } from '@/ui/forms/lock-button';
import { SignOut } from '@/ui/forms/sign-out';

export default async function ClinicLayout({ children }: { children: React.ReactNode }) {
  const member = await requireAnyMember();
  return (
    <div className="grid min-h-dvh grid-rows-[auto_1fr_auto]">
      <a
        href="#page"
        className="no-print sr-only rounded bg-action px-4 py-2 text-on-action focus:not-sr-only focus:fixed focus:top-2 focus:left-2 focus:z-40"
      >
        Skip to the page
      </a>
      <header className="no-print border-b border-hair bg-sheet">
        <div className="mx-auto flex max-w-[80rem] flex-wrap items-center gap-x-6 gap-y-1 px-5 py-2">
          <QuietLink href="/" className="text-lg font-semibold text-ink">
            Dry Lantern
          </QuietLink>
          <nav aria-label="Clinic" className="flex flex-wrap gap-x-4 whitespace-nowrap">
            <QuietLink href="/" className="py-1 text-action hover:underline">
              Morning list
            </QuietLink>
            {member.narrowed && (
              <QuietLink href="/closed" className="py-1 text-action hover:underline">
                Another file
              </QuietLink>
            )}
            <QuietLink href="/exercises" className="py-1 text-action hover:underline">
              Exercises
            </QuietLink>
            {roleSuffices(member.role, 'practitioner') && (
              <QuietLink href="/evidence" className="py-1 text-action hover:underline">
                Evidence
              </QuietLink>
            )}
            {member.role === 'lead' && (
              <QuietLink href="/clinic" className="py-1 text-action hover:underline">
                Clinic and members
              </QuietLink>
            )}
          </nav>
          <div className="ml-auto">
            <FindPatient />
          </div>
          <QuietLink
            href="/account"
            className="max-w-64 truncate py-1 text-action hover:underline"
            title="Your account"
          >
            {member.name} ({member.role})
          </QuietLink>
          <LockButton />
          <SignOut />
        </div>
      </header>
      <main id="page" tabIndex={-1} className="mx-auto outline-none w-full max-w-[80rem] px-5 py-5">
        {children}
      </main>
      <footer className="mx-auto w-full max-w-[80rem] border-t border-hair px-5 py-3 text-small text-soft">
        {CLINIC_CAUTION}
      </footer>
      <Suspense>
        <WaitingLine />
      </Suspense>
      <Reread />
      <SignInAgain memberId={member.id} />
      <Toasts />
    </div>
  );
}
