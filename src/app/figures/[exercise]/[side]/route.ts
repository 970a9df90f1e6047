import { z } from 'zod';
import { figureOf } from '@/catalogue/figures';
import type { Figure } from '@/core/figure';
import { drawingId } from '@/core/records';
import { currentMember, currentPatient } from '@/server/current';
import { ownFigureOf } from '@/server/desk/own-figures';
import { figureFile } from '@/server/patient/figure-file';

const Params = z.object({ exercise: z.string().max(80), side: z.enum(['left', 'right']) });
const Query = z.object({
  size: z.enum(['small']).optional().catch(undefined),
  v: z.string().max(20).optional().catch(undefined),
});

/** With its content's hash in the address it is kept for good; without, asked for again each time. */
const KEPT = 'max-age=31536000, immutable';
const ASKED = 'no-cache';

/** A drawing and who may have it: the catalogue's are about nobody, a clinic's own are its people's. */
type Held = { readonly figure: Figure; readonly by: 'public' | 'private' };

async function heldAs(name: string): Promise<Held | null> {
  if (!drawingId.safeParse(name).success) {
    const figure = figureOf(name);
    return figure && { figure, by: 'public' };
  }
  const clinicId = (await currentMember())?.clinicId ?? (await currentPatient())?.clinicId;
  const figure = clinicId ? await ownFigureOf(clinicId, name) : null;
  return figure && { figure, by: 'private' };
}

/** An exercise's still. */
export async function GET(
  request: Request,
  { params }: RouteContext<'/figures/[exercise]/[side]'>,
): Promise<Response> {
  const read = Params.safeParse(await params);
  const { size, v } = Query.parse(Object.fromEntries(new URL(request.url).searchParams));
  const held = read.success ? await heldAs(read.data.exercise) : null;
  if (!read.success || !held) return new Response('There is no such drawing.', { status: 404 });
  const file = figureFile(held.figure, read.data.side, size ?? 'full');
  const headers = {
    'Content-Type': 'image/svg+xml',
    'Cache-Control': `${held.by}, ${v === file.hash ? KEPT : ASKED}`,
    ETag: `"${file.hash}"`,
  };
  return request.headers.get('if-none-match') === headers.ETag
    ? new Response(null, { status: 304, headers })
    : new Response(file.text, { headers });
}
