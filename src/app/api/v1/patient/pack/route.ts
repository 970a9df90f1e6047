import { NextResponse } from 'next/server';
import { currentPatient } from '@/server/current';
import { patientPack } from '@/server/patient-pack';
import { LINK_GONE, Problem, asProblem, logFailure } from '@/server/problem';
import { refused } from '@/server/patient/refused';

/** Today's pack, for a device that is already open. */
export async function GET(): Promise<NextResponse> {
  try {
    const patient = await currentPatient();
    if (!patient) return await refused(new Problem(401, LINK_GONE));
    const value = await patientPack(patient);
    return NextResponse.json({ ok: true, value }, { headers: { 'Cache-Control': 'no-store' } });
  } catch (error) {
    logFailure('pack', error);
    return refused(asProblem(error));
  }
}
