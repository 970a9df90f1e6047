import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { PATIENT_LANGUAGE, patientWords } from '@/catalogue';
import { currentPatient } from '@/server/current';
import { settingsOf } from '@/server/patient/settings';
import { SettingsForm } from '@/ui/patient/settings-form';
import { Shell } from '@/ui/patient/shell';

export const metadata: Metadata = { title: 'Settings', robots: 'noindex' };

export default async function SettingsPage() {
  const here = await currentPatient();
  if (!here) redirect('/today');
  return (
    <Shell words={patientWords()} language={PATIENT_LANGUAGE} title="settings.title">
      <SettingsForm start={await settingsOf(here)} />
    </Shell>
  );
}
