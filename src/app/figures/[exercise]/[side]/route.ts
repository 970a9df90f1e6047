import { z } from 'zod';
import { figureFile } from '@/server/patient/figure-file';

const Params = z.object({ exercise: z.string().max(80), side: z.enum(['left', 'right']) });

/** A catalogue exercise's still. It is about nobody, so anybody may have it, and keep it. */
export async function GET(
  _request: Request,
  { params }: RouteContext<'/figures/[exercise]/[side]'>,
): Promise<Response> {
  const read = Params.safeParse(await params);
  const file = read.success ? figureFile(read.data.exercise, read.data.side) : null;
  if (!file) return new Response('There is no such drawing.', { status: 404 });
  return new Response(file.text, {
    headers: {
      'Content-Type': 'image/svg+xml',
      'Cache-Control': 'public, max-age=31536000, immutable',
    },
  });
}
