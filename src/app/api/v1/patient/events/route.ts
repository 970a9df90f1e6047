import { plainHandler } from '@/server/handler';
import { answerEvents } from '@/server/patient/events';

/** Where no server of ours stands before the framework, as with `npm run dev`. */
export const POST = plainHandler(answerEvents);
