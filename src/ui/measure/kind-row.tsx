'use client';

import { type MeasureKindId, formatMeasure, kindOf } from '@/core/measures';
import { newId } from '../forms/new-id';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';
import { FORMS } from './forms';
import type { FormRowProps } from './forms/form';
import type { KnownMeasures } from './known';
import { Difference, Earlier, Ratios } from './kind-facts';
import { type RowDraft, type SheetDraft, emptyRow, rowKey, sidesMeasured } from './sheet';
import { Before, TrialRow } from './trial-row';
import type { Side } from './typed';

/** One kind of measurement with its sides, however it is filled in. */
export function KindRow({
  kind,
  draft,
  known,
  errorAt,
  onChange,
}: {
  kind: MeasureKindId;
  draft: SheetDraft;
  known: KnownMeasures;
  errorAt: (key: string, field: string) => string;
  onChange: (kind: MeasureKindId, side: Side, part: Partial<RowDraft>) => void;
}) {
  const about = kindOf(kind);
  const sides = sidesMeasured(kind);
  const rowOf = (side: Side) => draft[rowKey(kind, side)] ?? emptyRow(kind, '');
  const { norm, how } = about;
  return (
    <div className="pt-3">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h3>{about.name}</h3>
        <p className="text-small text-soft">
          {norm && `Usual ${formatMeasure(kind, norm.value)}, ${norm.source}. `}
          {how}
        </p>
        <TakeOut kind={kind} known={known} />
      </div>
      {sides.map((side) =>
        about.form === 'trials' ? (
          <TrialRow
            key={side ?? 'one'}
            kind={kind}
            side={side}
            row={rowOf(side)}
            known={known}
            errorAt={(field) => errorAt(rowKey(kind, side), field)}
            onChange={(part) => onChange(kind, side, part)}
          />
        ) : (
          <FormRow
            key={side ?? 'one'}
            kind={kind}
            side={side}
            row={rowOf(side)}
            known={known}
            errorAt={(field) => errorAt(rowKey(kind, side), field)}
            onChange={(part) => onChange(kind, side, part)}
          />
        ),
      )}
      {kind === 'side-hold' && <Ratios draft={draft} known={known} />}
      <Earlier kind={kind} known={known} />
      {about.sided && about.form === 'trials' && (
        <Difference kind={kind} rows={sides.map(rowOf)} known={known} />
      )}
    </div>
  );
}

function FormRow({
  kind,
  side,
  row,
  known,
  errorAt,
  onChange,
}: {
  kind: MeasureKindId;
  side: Side;
  row: RowDraft;
  known: KnownMeasures;
  errorAt: (field: string) => string;
  onChange: (part: Partial<RowDraft>) => void;
}) {
  const last = known.series.find((one) => one.kind === kind && one.side === side)?.last ?? null;
  const props: FormRowProps = {
    kind,
    side,
    fields: row.fields,
    last: last?.body ?? null,
    errorAt,
    set: (fields) => onChange({ fields: { ...row.fields, ...fields } }),
  };
  const { form } = kindOf(kind);
  if (form === 'trials' || form === 'photo') return null;
  const { Rows } = FORMS[form];
  if (form === 'choice')
    return (
      <div className="flex flex-wrap items-center gap-3 border-b border-hair py-1.5">
        <Rows {...props} />
        <span className="ml-auto text-small">
          <Before kind={kind} side={side} now={null} known={known} />
        </span>
      </div>
    );
  return (
    <div className="grid gap-2 border-b border-hair py-2">
      <Rows {...props} />
      {errorAt('body') && <p className="text-stop">{errorAt('body')}</p>}
      <p className="text-small">
        <Before kind={kind} side={side} now={null} known={known} />
      </p>
    </div>
  );
}

/** Takes the last measurement of a kind out when it was wrong; the record keeps it. */
function TakeOut({ kind, known }: { kind: MeasureKindId; known: KnownMeasures }) {
  const { busy, send } = useSend();
  const all = known.series.filter((one) => one.kind === kind);
  if (all.length === 0) return null;
  return (
    <span className="ml-auto flex flex-wrap gap-x-3">
      {all.map(({ side, last }) => (
        <Button
          key={side ?? 'one'}
          look="quiet"
          disabled={busy}
          className="!min-h-6 !px-0 text-small"
          onClick={() =>
            void send(
              '/api/v1/measurements/withdraw',
              { id: newId(), patientId: known.patientId, supersedes: last.id },
              { said: 'Taken out; the record keeps it.' },
            )
          }
        >
          Take out the last{side && ` ${side}`}
          <span className="sr-only"> of {kindOf(kind).name}</span>
        </Button>
      ))}
    </span>
  );
}
