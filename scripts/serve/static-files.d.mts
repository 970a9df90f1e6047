import type { IncomingMessage, ServerResponse } from 'node:http';

export function staticFiles(
  folder: string,
): (request: IncomingMessage, response: ServerResponse, next: () => void) => void;
