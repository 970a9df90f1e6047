import { readById, searchByBody } from '@/server/read-api/answer';

type Context = { params: Promise<{ type: string; id: string }> };

export const GET = async (request: Request, { params }: Context) => {
  const { type, id } = await params;
  return readById(request, type, id);
};

/** A search by POST: what is known of a person stands in no address. */
export const POST = async (request: Request, { params }: Context) => {
  const { type, id } = await params;
  return id === '_search' ? searchByBody(request, type) : new Response(null, { status: 405 });
};
