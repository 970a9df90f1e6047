import { capability } from '@/server/read-api/answer';

export const GET = (request: Request) => capability(request);
export const dynamic = 'force-dynamic';
