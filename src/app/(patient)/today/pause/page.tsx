import { requirePatient } from '@/server/require';
import type { Metadata } from 'next';
import { todayOf } from '@/server/programme-facts';
import { PauseForm } from '@/ui/patient/pause-form';
import { wordsFor } from '@/server/patient/words';
import { Shell } from '@/ui/patient/shell';
import { legibleToPatient } from '@/app/legible';

export const metadata: Metadata = { title: 'Pause', robots: 'noindex' };

async function PausePage() {
  const here = await requirePatient();
  return (
    <Shell {...wordsFor(here)} title="pause.title">
      <PauseForm today={todayOf(here.patient)} />
    </Shell>
  );
}

export default legibleToPatient(PausePage);
