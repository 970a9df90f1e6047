/** An outcome that is either a value or an error with a way out; errors are values here. */
export type Result<T, E> = { readonly ok: true; readonly value: T } | ({ readonly ok: false } & E);

export function ok<T>(value: T): { readonly ok: true; readonly value: T } {
  return { ok: true, value };
}
