import { type Closing, type SaidPart, SAID_PARTS, type TaughtLine, untaught } from '@/core/teach';

/** What has been ticked so far; kept by line, so that it outlives a new version. */
export type Teaching = {
  readonly lines: Readonly<Record<string, TaughtLine>>;
  readonly closing: Closing;
};

export const NOTHING_TAUGHT: Teaching = {
  lines: {},
  closing: { doseSaidAgain: false, dayToComeBack: false },
};

/** A kept draft, if it is one of ours. */
export function teachingIn(kept: unknown): Teaching {
  const draft = kept as Partial<Teaching> | null;
  return draft && typeof draft.lines === 'object' && typeof draft.closing === 'object'
    ? { lines: draft.lines, closing: { ...NOTHING_TAUGHT.closing, ...draft.closing } }
    : NOTHING_TAUGHT;
}

export function taughtOf(teaching: Teaching, lineage: string): TaughtLine {
  return teaching.lines[lineage] ?? untaught(lineage);
}

export function withLine(teaching: Teaching, line: TaughtLine): Teaching {
  return { ...teaching, lines: { ...teaching.lines, [line.lineage]: line } };
}

export function toggled<T>(list: readonly T[], item: T): T[] {
  return list.includes(item) ? list.filter((one) => one !== item) : [...list, item];
}

export type Question = 'felt' | 'comfortable' | 'breathing' | 'questions';

/** What the one key does next on a page. */
export type NextStep =
  | { readonly kind: 'say'; readonly part: SaidPart }
  | { readonly kind: 'demonstrate' }
  | { readonly kind: 'watch' }
  | { readonly kind: 'ask'; readonly question: Question }
  | { readonly kind: 'next page' };

/**
 * The next open thing of an exercise, in the order of the sheet.
 *
 * @param asked a question the key has already gone to: it cannot answer, so it goes past
 */
export function nextStep(line: TaughtLine, asked: Question | null): NextStep {
  const part = SAID_PARTS.find((one) => !line.said.includes(one));
  if (part) return { kind: 'say', part };
  if (!line.demonstrated) return { kind: 'demonstrate' };
  if (!line.watched) return { kind: 'watch' };
  const open: Question[] = [
    ...(line.felt.length === 0 ? (['felt'] as const) : []),
    ...(line.comfortable === null ? (['comfortable'] as const) : []),
    ...(line.breathing === null ? (['breathing'] as const) : []),
    ...(line.questions === null ? (['questions'] as const) : []),
  ];
  const past = asked === null ? -1 : open.indexOf(asked);
  const question = open[past + 1];
  return question ? { kind: 'ask', question } : { kind: 'next page' };
}
