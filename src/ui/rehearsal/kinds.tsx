import type { RehearsedKind } from '@/core/rehearsal';

/** How each made-up patient's line is drawn: told apart by its dashes too, not by colour alone. */
export const KIND_LINES: Readonly<Record<RehearsedKind, { colour: string; dash: string }>> = {
  quick: { colour: 'var(--action)', dash: '' },
  average: { colour: 'var(--ink)', dash: '7 3' },
  sore: { colour: 'var(--plum)', dash: '2 3' },
  patchy: { colour: 'var(--soft)', dash: '9 3 2 3' },
};

/** The sign of a kind beside its name. */
export function KindSign({ kind }: { kind: RehearsedKind }) {
  return (
    <svg aria-hidden width="34" height="8">
      <line
        x1={0}
        x2={34}
        y1={4}
        y2={4}
        stroke={KIND_LINES[kind].colour}
        strokeWidth={2}
        strokeDasharray={KIND_LINES[kind].dash}
      />
    </svg>
  );
}
