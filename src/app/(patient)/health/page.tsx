import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { CLINIC_CAUTION, PATIENT_LANGUAGE, patientWords } from '@/catalogue';
import { currentPatient } from '@/server/current';
import { patientClinic } from '@/server/patient-pack';
import { HealthQuestions } from '@/ui/patient/health-questions';
import { Words } from '@/ui/patient/say';

export const metadata: Metadata = { title: 'Before your visit', robots: 'noindex' };

/** The plain-language screening, filled from the patient's own link. */
export default async function HealthPage() {
  const here = await currentPatient();
  if (!here) redirect('/today');
  return (
    <main className="patient mx-auto max-w-lg px-5 py-5">
      <Words words={patientWords()} language={PATIENT_LANGUAGE}>
        <HealthQuestions clinic={await patientClinic(here)} caution={CLINIC_CAUTION} />
      </Words>
    </main>
  );
}
