import type { IncomingMessage, ServerResponse } from 'node:http';
export function kindOfPath(url: string): string;
export function logged(
  request: IncomingMessage,
  response: ServerResponse,
  answer: () => Promise<void>,
): Promise<void>;
