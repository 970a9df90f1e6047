'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from 'sonner';
import { v4 as uuid } from 'uuid';
import { type MeasureKindId, formatMeasure, kindOf } from '@/core/measures';
import { post } from '../forms/post';
import { Button } from '../primitives/button';
import { BodyMap } from './body-map';
import {
  ActivitiesRow,
  ChoiceRow,
  CuffRow,
  type FormRowProps,
  OffsetsRow,
  PressureRow,
  SectionsRow,
  WedgeRow,
} from './form-rows';
import type { KnownMeasures } from './known';
import { Difference, Earlier, Ratios } from './kind-facts';
import { NerveGrid } from './nerve-grid';
import {
  type RowDraft,
  type SheetDraft,
  type Side,
  emptyRow,
  rowKey,
  sidesMeasured,
} from './sheet';
import { Before, TrialRow } from './trial-row';

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
        <p className="text-[0.93em] text-soft">
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
    errorAt,
    set: (fields) => onChange({ fields: { ...row.fields, ...fields } }),
  };
  if (kindOf(kind).form === 'choice')
    return (
      <div className="flex flex-wrap items-center gap-3 border-b border-hair py-1.5">
        <ChoiceRow {...props} />
        <span className="ml-auto text-[0.93em]">
          <Before kind={kind} side={side} now={null} known={known} />
        </span>
      </div>
    );
  return (
    <div className="grid gap-2 border-b border-hair py-2">
      <FormFields {...props} last={last?.body ?? null} />
      {errorAt('body') && <p className="text-stop">{errorAt('body')}</p>}
      <p className="text-[0.93em]">
        <Before kind={kind} side={side} now={null} known={known} />
      </p>
    </div>
  );
}

function FormFields(
  props: FormRowProps & { last: KnownMeasures['series'][number]['last']['body'] },
) {
  const { last, ...row } = props;
  switch (kindOf(props.kind).form) {
    case 'offsets':
      return <OffsetsRow {...row} />;
    case 'wedge':
      return <WedgeRow {...row} />;
    case 'cuff':
      return <CuffRow {...row} />;
    case 'pressure':
      return <PressureRow {...row} />;
    case 'sections':
      return <SectionsRow {...row} />;
    case 'activities':
      return <ActivitiesRow {...row} />;
    case 'nerve':
      return <NerveGrid {...row} before={last?.form === 'nerve' ? last : null} />;
    case 'body':
      return <BodyMap {...row} />;
    case 'choice':
    case 'trials':
    case 'photo':
      return null;
  }
}

/** Takes the last measurement of a kind out when it was wrong; the record keeps it. */
function TakeOut({ kind, known }: { kind: MeasureKindId; known: KnownMeasures }) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const all = known.series.filter((one) => one.kind === kind);
  if (all.length === 0) return null;
  return (
    <span className="ml-auto flex flex-wrap gap-x-3">
      {all.map(({ side, last }) => (
        <Button
          key={side ?? 'one'}
          look="quiet"
          disabled={busy}
          className="!min-h-6 !px-0 text-[0.87em]"
          onClick={async () => {
            setBusy(true);
            const answer = await post('/api/v1/measurements/withdraw', {
              id: uuid(),
              patientId: known.patientId,
              supersedes: last.id,
            });
            setBusy(false);
            if (!answer.ok) return toast.error(answer.say);
            router.refresh();
            return toast('Taken out; the record keeps it.');
          }}
        >
          Take out the last{side && ` ${side}`}
          <span className="sr-only"> of {kindOf(kind).name}</span>
        </Button>
      ))}
    </span>
  );
}
