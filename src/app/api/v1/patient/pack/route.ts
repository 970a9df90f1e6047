import { NextResponse } from 'next/server';
import { currentPatient } from '@/server/current';
import { patientPack } from '@/server/patient-pack';
import { LINK_GONE, asProblem, logFailure } from '@/server/problem';

/** Today's pack, for a device that is already open. */
export async function GET(): Promise<NextResponse> {
  try {
    const patient = await currentPatient();
    if (!patient) return NextResponse.json({ ok: false, say: LINK_GONE }, { status: 401 });
    const value = await patientPack(patient);
    return NextResponse.json({ ok: true, value }, { headers: { 'Cache-Control': 'no-store' } });
  } catch (error) {
    logFailure('pack', error);
    const { say, status } = asProblem(error);
    return NextResponse.json({ ok: false, say }, { status });
  }
}
