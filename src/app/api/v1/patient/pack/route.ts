import { NextResponse } from 'next/server';
import { askingPatient } from '@/server/asking';
import { patientPack } from '@/server/patient-pack';
import { Problem, asProblem, logFailure } from '@/server/problem';
import { refused } from '@/server/patient/refused';

/** Today's pack, for a device that is already open. */
export async function GET(): Promise<NextResponse> {
  try {
    const value = await patientPack(await askingPatient());
    return NextResponse.json({ ok: true, value }, { headers: { 'Cache-Control': 'no-store' } });
  } catch (error) {
    if (!(error instanceof Problem)) logFailure('pack', error);
    return refused(asProblem(error));
  }
}
