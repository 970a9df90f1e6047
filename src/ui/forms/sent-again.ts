/** A record that was sent and whose answer never came: it may have arrived. */
export type Unanswered = { readonly path: string; readonly body: unknown };

/**
 * A record as it is to be sent: under the id of the one whose answer was lost, where both are the same but
 * for that id. The server knows it again then, and keeps it once.
 *
 * @param lost null where everything was answered
 * @example sentAgain('/goals', { id: 'b', say: 'row' }, { path: '/goals', body: { id: 'a', say: 'row' } })
 * // { id: 'a', say: 'row' }
 */
export function sentAgain(path: string, body: unknown, lost: Unanswered | null): unknown {
  if (lost === null || lost.path !== path || !hasId(body) || !hasId(lost.body)) return body;
  const before = { ...body, id: lost.body.id };
  return JSON.stringify(before) === JSON.stringify(lost.body) ? before : body;
}

function hasId(body: unknown): body is { readonly id: unknown } {
  return typeof body === 'object' && body !== null && 'id' in body;
}
