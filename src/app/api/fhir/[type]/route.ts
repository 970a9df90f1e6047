import { searchByAddress } from '@/server/read-api/answer';

type Context = { params: Promise<{ type: string }> };

export const GET = async (request: Request, { params }: Context) =>
  searchByAddress(request, (await params).type);
