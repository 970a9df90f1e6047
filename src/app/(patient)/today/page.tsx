import type { Metadata } from 'next';
import { currentPatient } from '@/server/current';
import { patientPack } from '@/server/patient-pack';
import { LINK_GONE } from '@/server/problem';
import { Today } from '@/ui/patient/today';
import { UnsentHere } from '@/ui/patient/unsent-here';

export const metadata: Metadata = { title: 'Today', robots: 'noindex' };

/** One document for today, player and check-in, fed by one pack. */
export default async function TodayPage() {
  const here = await currentPatient();
  if (!here) {
    return (
      <main className="patient mx-auto grid min-h-dvh max-w-lg content-center gap-4 px-5">
        <h1 className="text-2xl">Open your personal link</h1>
        <p>{LINK_GONE}</p>
        <UnsentHere />
      </main>
    );
  }
  return (
    <main className="patient mx-auto max-w-lg px-5 py-5">
      <Today start={await patientPack(here)} />
    </main>
  );
}
