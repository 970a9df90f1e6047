/** A record that was sent and whose answer never came: it may have arrived. */
export type Unanswered = { readonly path: string; readonly body: unknown };

/**
 * A record as it is to be sent: under the id of the one whose answer was lost, where both are new and the same
 * but for that id. The server knows it again then, and keeps it once. The id of something that is there
 * already says what is meant, and is never put in another's place.
 *
 * @param lost null where everything was answered
 * @param isNew whether an id was made for a record that nobody has answered for
 * @example sentAgain('/goals', { id: 'b', say: 'row' }, { path: '/goals', body: { id: 'a', say: 'row' } }, isNew)
 * // { id: 'a', say: 'row' }
 */
export function sentAgain(
  path: string,
  body: unknown,
  lost: Unanswered | null,
  isNew: (id: unknown) => boolean,
): unknown {
  if (lost === null || lost.path !== path || !hasId(body) || !hasId(lost.body)) return body;
  if (!isNew(body.id) || !isNew(lost.body.id)) return body;
  const before = { ...body, id: lost.body.id };
  return JSON.stringify(before) === JSON.stringify(lost.body) ? before : body;
}

export function hasId(body: unknown): body is { readonly id: unknown } {
  return typeof body === 'object' && body !== null && 'id' in body;
}
