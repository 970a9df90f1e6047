import { requirePatient } from '@/server/require';
import type { Metadata } from 'next';
import { settingsOf } from '@/server/patient/settings';
import { SettingsForm } from '@/ui/patient/settings-form';
import { wordsFor } from '@/server/patient/words';
import { Shell } from '@/ui/patient/shell';
import { legibleToPatient } from '@/app/legible';

export const metadata: Metadata = { title: 'Settings', robots: 'noindex' };

async function SettingsPage() {
  const here = await requirePatient();
  return (
    <Shell {...wordsFor(here)} title="settings.title">
      <SettingsForm start={await settingsOf(here)} />
    </Shell>
  );
}

export default legibleToPatient(SettingsPage);
