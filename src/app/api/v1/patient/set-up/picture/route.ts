import type { NextResponse } from 'next/server';
import { askingPatient } from '@/server/asking';
import { pictureAnswer } from '@/server/picture-answer';
import { ownSetUpPicture } from '@/server/visit/set-up-photos';

/** A photo of the patient's own set-up; their phone keeps it for when there is no signal. */
export function GET(request: Request): Promise<NextResponse> {
  return pictureAnswer(request, askingPatient, ownSetUpPicture);
}
