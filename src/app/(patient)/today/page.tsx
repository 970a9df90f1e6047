import type { Metadata } from 'next';
import { PATIENT_LANGUAGE, patientWords, sayToPatient, todayWords } from '@/catalogue';
import { shownPack } from '@/core/exchange';
import { currentPatient } from '@/server/current';
import { patientPack } from '@/server/patient-pack';
import { LINK_GONE } from '@/server/problem';
import { Words } from '@/ui/patient/say';
import { Today } from '@/ui/patient/today';
import { UnsentHere } from '@/ui/patient/unsent-here';

export const metadata: Metadata = {
  title: 'Today',
  robots: 'noindex',
  manifest: '/api/v1/patient/manifest',
};

/** One document for today, player and check-in, fed by one pack. */
export default async function TodayPage() {
  const here = await currentPatient();
  if (!here) {
    return (
      <main className="patient mx-auto grid min-h-dvh max-w-lg content-center gap-4 px-5">
        <h1 className="text-2xl">{sayToPatient('open.none')}</h1>
        <p>{LINK_GONE}</p>
        <Words words={patientWords()} language={PATIENT_LANGUAGE}>
          <UnsentHere />
        </Words>
      </main>
    );
  }
  return (
    <main className="patient mx-auto max-w-lg px-5 py-5">
      <Today
        start={shownPack(await patientPack(here))}
        words={todayWords()}
        language={PATIENT_LANGUAGE}
      />
    </main>
  );
}
