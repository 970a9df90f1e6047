import { redirect } from 'next/navigation';

/** A file opens at Follow: what was done comes before what is next. */
export default async function PatientPage({ params }: PageProps<'/patients/[id]'>) {
  redirect(`/patients/${(await params).id}/follow`);
}
