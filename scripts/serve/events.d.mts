import type { IncomingMessage, ServerResponse } from 'node:http';

export function answerEvents(request: IncomingMessage, response: ServerResponse): Promise<boolean>;
