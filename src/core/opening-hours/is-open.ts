/** Whether the clinic answers now, as far as is known. */
export type Answering =
  /** No hours are written, or what is known of them is over. */
  | { readonly kind: 'unknown' }
  /** Milliseconds since 1970 until which it answers. */
  | { readonly kind: 'open'; readonly until: number }
  /** Milliseconds since 1970 from which it answers again. */
  | { readonly kind: 'closed'; readonly opens: number };

/**
 * Whether the clinic answers at a moment. Nothing is said once the known times are over: an old pack does
 * not say "closed".
 *
 * @param spans in the order of time
 * @example answeringAt([{ from: 0, to: 10 }], 3) // { kind: 'open', until: 10 }
 */
export function answeringAt(
  spans: readonly { readonly from: number; readonly to: number }[],
  now: number,
): Answering {
  const next = spans.find(({ to }) => now < to);
  if (!next) return { kind: 'unknown' };
  return next.from <= now ? { kind: 'open', until: next.to } : { kind: 'closed', opens: next.from };
}
