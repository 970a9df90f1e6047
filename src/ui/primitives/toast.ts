/** What is said for a moment. */
export type Saying = {
  readonly kind: 'done' | 'error';
  readonly say: string;
  /** What can be done about it while it stands there. */
  readonly action?: { readonly label: string; readonly onClick: () => void } | undefined;
};

const waiting: Saying[] = [];
let speaker: ((saying: Saying) => void) | null = null;
let wake: (() => void) | null = null;

/**
 * Says it: at once where what shows it has come, else as soon as it has. What shows it is dear, and a
 * page that says nothing does without until it is at rest.
 */
function say(saying: Saying): void {
  if (speaker) return speaker(saying);
  waiting.push(saying);
  wake?.();
}

export const toast = Object.assign(
  (text: string, { action }: Pick<Saying, 'action'> = {}) =>
    say({ kind: 'done', say: text, action }),
  { error: (text: string) => say({ kind: 'error', say: text }) },
);

/** What was not said yet; it is no more kept here. */
export const takeSayings = (): readonly Saying[] => waiting.splice(0);

/**
 * From now on sayings go here, those first that waited.
 *
 * @returns what takes it back
 */
export function speakThrough(speak: (saying: Saying) => void): () => void {
  speaker = speak;
  takeSayings().forEach(speak);
  return () => {
    if (speaker === speak) speaker = null;
  };
}

/**
 * Tells when something is to be said and nobody speaks, at once where it is so already.
 *
 * @returns what takes it back
 */
export function whenUnsaid(listener: () => void): () => void {
  wake = listener;
  if (waiting.length > 0) listener();
  return () => {
    if (wake === listener) wake = null;
  };
}
