import { z } from 'zod';
import { figureFile } from '@/server/patient/figure-file';

const Params = z.object({ exercise: z.string().max(80), side: z.enum(['left', 'right']) });
const Query = z.object({
  size: z.enum(['small']).optional().catch(undefined),
  v: z.string().max(20).optional().catch(undefined),
});

/** With its content's hash in the address it is kept for good; without, asked for again each time. */
const KEPT = 'public, max-age=31536000, immutable';
const ASKED = 'public, no-cache';

/** A catalogue exercise's still. It is about nobody, so anybody may have it, and keep it. */
export async function GET(
  request: Request,
  { params }: RouteContext<'/figures/[exercise]/[side]'>,
): Promise<Response> {
  const read = Params.safeParse(await params);
  const { size, v } = Query.parse(Object.fromEntries(new URL(request.url).searchParams));
  const file = read.success ? figureFile(read.data.exercise, read.data.side, size ?? 'full') : null;
  if (!file) return new Response('There is no such drawing.', { status: 404 });
  const headers = {
    'Content-Type': 'image/svg+xml',
    'Cache-Control': v === file.hash ? KEPT : ASKED,
    ETag: `"${file.hash}"`,
  };
  return request.headers.get('if-none-match') === headers.ETag
    ? new Response(null, { status: 304, headers })
    : new Response(file.text, { headers });
}
