import { NextResponse } from 'next/server';
import { askingPatient } from '@/server/asking';
import { patientPack } from '@/server/patient-pack';
import { readersLanguage } from '@/server/patient/words';
import { FOR_WHO_ASKED, readAnswer } from '@/server/read-answer';

/** Today's pack, for a device that is already open. */
export function GET(): Promise<NextResponse> {
  return readAnswer(
    'pack',
    async () => {
      const value = await patientPack(await askingPatient());
      return NextResponse.json({ ok: true, value }, { headers: FOR_WHO_ASKED });
    },
    readersLanguage,
  );
}
