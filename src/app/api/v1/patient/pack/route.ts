import { NextResponse } from 'next/server';
import { compressedJson } from '@/server/compressed';
import { currentPatient } from '@/server/current';
import { patientPack } from '@/server/patient-pack';
import { LINK_GONE, asProblem, logFailure } from '@/server/problem';

/** Today's pack, for a device that is already open. */
export async function GET(request: Request): Promise<Response> {
  try {
    const patient = await currentPatient();
    if (!patient) return NextResponse.json({ ok: false, say: LINK_GONE }, { status: 401 });
    const value = await patientPack(patient);
    // A week of programmes is the largest thing a phone ever fetches, and packs to a fifth.
    return compressedJson(request, { ok: true, value });
  } catch (error) {
    logFailure('pack', error);
    const { say, status } = asProblem(error);
    return NextResponse.json({ ok: false, say }, { status });
  }
}
