/** A decision as it is shown, with what the pain did after. */
export type ShownDecision = {
  readonly row: {
    readonly id: string;
    readonly localDate: LocalDate;
    readonly decision: string;
    readonly move: string;
    readonly fromDose: string;
    readonly toDose: string | null;
    readonly why: string;
    readonly reason: string;
  };
  readonly name: string;
  readonly author: string;
  readonly after: { readonly share: number; readonly low: number; readonly high: number } | null;
};

/** Every decision beside what happened after it. That it came after does not make it because of it. */
export function PastDecisions({ decisions }: { decisions: readonly ShownDecision[] }) {
  if (decisions.length === 0) return null;
  return (
    <details className="pt-2">
      <summary className="text-action">Decided so far ({decisions.length})</summary>
      <ul className="divide-y divide-hair border-y border-hair">
        {decisions.map(({ row, name, author, after }) => (
          <li key={row.id} className="py-1.5">
            <span className="text-soft">{shortDay(row.localDate)}</span>{' '}
            <span className="font-medium">{name}</span> {row.decision} by{' '}
            <span dir="auto">{author}</span>:{' '}
            <span className="figures">
              {row.move}, {row.fromDose} → {row.toDose ?? '–'}
            </span>
            {row.reason && <span dir="auto"> ({row.reason})</span>}
            {/* As it was shown when it was decided. */}
            <span className="block text-small">{row.why}</span>
            <span className="block text-small text-soft">
              {after
                ? `Worst pain after: lower in ${percentText(after.share)} of all pairs of a day before and a day after (${percentText(after.low)}–${percentText(after.high)}), a fortnight each.`
                : 'Too few days told before and after to compare.'}
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}
import { type LocalDate, percentText, shortDay } from '@/core/units';
