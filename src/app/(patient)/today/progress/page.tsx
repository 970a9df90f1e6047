import { requirePatient } from '@/server/require';
import type { Metadata } from 'next';
import { cookies } from 'next/headers';
import { progressOf } from '@/server/patient/progress';
import { cookieOf } from '@/server/cookies';
import { mayHistory } from '@/server/patient/birth';
import { BirthForm } from '@/ui/patient/birth-form';
import { ProgressView } from '@/ui/patient/progress-view';
import { wordsFor } from '@/server/patient/words';
import { Shell } from '@/ui/patient/shell';
import { legibleToPatient } from '@/app/legible';

export const metadata: Metadata = { title: 'How it is going', robots: 'noindex' };

async function ProgressPage() {
  const here = await requirePatient();
  const allowed = await mayHistory(here, cookieOf(await cookies(), 'birth'));
  return (
    <Shell {...wordsFor(here)} title="progress.title">
      {allowed ? <ProgressView progress={await progressOf(here)} /> : <BirthForm />}
    </Shell>
  );
}

export default legibleToPatient(ProgressPage);
