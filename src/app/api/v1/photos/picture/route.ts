import type { NextResponse } from 'next/server';
import { askingMember } from '@/server/asking';
import { pictureAnswer } from '@/server/picture-answer';
import { pictureFor } from '@/server/visit/photos';

/** A photo's picture, to a member of its clinic only. */
export function GET(request: Request): Promise<NextResponse> {
  return pictureAnswer(request, () => askingMember('assistant'), pictureFor);
}
