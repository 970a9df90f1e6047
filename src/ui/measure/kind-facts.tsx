'use client';

import { shortDay } from '@/core/units';
import {
  type MeasureKindId,
  TRUNK_RATIO_SOURCE,
  detectableOf,
  formatMeasure,
  howMeasured,
  kindOf,
  sideDifference,
  summariseTrials,
  trunkRatios,
  bodyInWords,
} from '@/core/measures';
import type { KnownMeasures } from './known';
import { type RowDraft, type SheetDraft, rowKey } from './sheet';
import { type Side, numberIn } from './typed';

/** How the trunk's endurance holds stand to each other: what is typed, or else what was measured. */
export function Ratios({ draft, known }: { draft: SheetDraft; known: KnownMeasures }) {
  const value = (kind: MeasureKindId, side: Side = null) => {
    const typed = draft[rowKey(kind, side)]?.trials.filter((text) => text.trim() !== '') ?? [];
    const last = known.series.find((one) => one.kind === kind && one.side === side)?.last.value;
    return summariseTrials(typed.map(numberIn))?.mean ?? last ?? null;
  };
  const rows = trunkRatios({
    flexor: value('trunk-flexor-hold'),
    extensor: value('trunk-extensor-hold'),
    left: value('side-hold', 'left'),
    right: value('side-hold', 'right'),
  });
  if (rows.length === 0) return null;
  return (
    <div role="status" className="py-1 text-small">
      <ul className="flex flex-wrap gap-x-5">
        {rows.map(({ name, ratio, unusual, limit }) => (
          <li key={name} className={unusual ? 'font-semibold' : ''}>
            {name} {ratio.toFixed(2)}
            <span className="font-normal text-soft"> ({limit})</span>
          </li>
        ))}
      </ul>
      <p className="text-soft">{TRUNK_RATIO_SOURCE}</p>
    </div>
  );
}

/** Earlier measurements of a kind with who made them, and how. */
export function Earlier({ kind, known }: { kind: MeasureKindId; known: KnownMeasures }) {
  const all = known.series.filter((one) => one.kind === kind);
  if (all.length === 0) return null;
  return (
    <details>
      <summary className="text-small text-action">
        Earlier ({all.reduce((sum, one) => sum + one.count, 0)})
        <span className="sr-only"> of {kindOf(kind).name}</span>
      </summary>
      <ul className="py-1 text-small">
        {all.flatMap((series) =>
          series.earlier.map((one) => (
            <li key={one.id}>
              {shortDay(one.on)} {series.side}{' '}
              <strong className="font-semibold">
                {one.value === null || kindOf(kind).unit === ''
                  ? bodyInWords(one)
                  : formatMeasure(kind, one.value)}
              </strong>
              <span className="text-soft">
                {one.trials.length > 1 &&
                  ` from ${one.trials.map((trial) => trial.toFixed(0)).join(', ')}`}
                , {howMeasured(one.instrument, one.position)}, {one.by}
              </span>
              {one.note !== '' && <span dir="auto"> {one.note}</span>}
              {one.cue !== null && <span dir="auto"> Cue: “{one.cue}”.</span>}
            </li>
          )),
        )}
      </ul>
    </details>
  );
}

/** Left against right of what is typed, or else of what was measured last. */
export function Difference({
  kind,
  rows,
  known,
}: {
  kind: MeasureKindId;
  rows: readonly RowDraft[];
  known: KnownMeasures;
}) {
  const [left, right] = rows.map((row, index) => {
    const typed = summariseTrials(row.trials.filter((t) => t.trim() !== '').map(numberIn))?.mean;
    const side = index === 0 ? 'left' : 'right';
    return (
      typed ??
      known.series.find((one) => one.kind === kind && one.side === side)?.last.value ??
      null
    );
  });
  if (left == null || right == null) return null;
  const found = sideDifference(left, right, detectableOf(kind, known.detectable).margin);
  if (!Number.isFinite(found.difference)) return null;
  return (
    <p role="status" className="py-1 text-small">
      {found.less === null
        ? 'Left and right alike.'
        : `${found.less === 'left' ? 'Left' : 'Right'} ${formatMeasure(kind, Math.abs(found.difference))} less`}
      {found.less !== null &&
        (found.real === null || found.needed === null
          ? '.'
          : found.real
            ? `, beyond error (${formatMeasure(kind, found.needed)}).`
            : `, within error (${formatMeasure(kind, found.needed)}).`)}
    </p>
  );
}
