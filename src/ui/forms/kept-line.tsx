import type { KeepState } from './use-keeping';

const WORDS: Readonly<Record<KeepState, string>> = {
  'nothing to keep': '',
  keeping: 'Keeping …',
  kept: 'Kept, not sent.',
  'not kept': 'Could not be kept: it is only on this page.',
};

/** How far a form is kept, and that it was begun before. */
export function KeptLine({ state, wasKept }: { state: KeepState; wasKept: boolean }) {
  return (
    <p role="status" className="text-small text-soft empty:hidden">
      {WORDS[state] || (wasKept ? 'Begun before, and not sent.' : '')}
    </p>
  );
}
