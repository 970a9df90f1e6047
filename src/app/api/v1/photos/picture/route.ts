import type { NextResponse } from 'next/server';
import { currentMember } from '@/server/current';
import { pictureAnswer } from '@/server/picture-answer';
import { NOT_SIGNED_IN } from '@/server/problem';
import { pictureFor } from '@/server/visit/photos';

/** A photo's picture, to a member of its clinic only. */
export function GET(request: Request): Promise<NextResponse> {
  return pictureAnswer(request, currentMember, NOT_SIGNED_IN, pictureFor);
}
