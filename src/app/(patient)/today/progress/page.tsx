import { requirePatient } from '@/server/require';
import type { Metadata } from 'next';
import { cookies } from 'next/headers';
import { progressOf } from '@/server/patient/progress';
import { cookieOf } from '@/server/cookies';
import { mayHistory } from '@/server/patient/birth';
import { BirthForm } from '@/ui/patient/birth-form';
import { ProgressView } from '@/ui/patient/progress-view';
import { wordsFor, titleOf } from '@/server/patient/words';
import { Shell } from '@/ui/patient/shell';
import { legibleToPatient } from '@/app/legible';

export const generateMetadata = (): Promise<Metadata> => titleOf('progress.title');

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
