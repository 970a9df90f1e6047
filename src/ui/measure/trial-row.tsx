'use client';

import { shortDay, toTenth } from '@/core/units';
import { useId, useState } from 'react';
import {
  type MeasureKindId,
  RELIEF_BAND,
  forceBand,
  formatMeasure,
  kilogramForce,
  kindOf,
  padThickness,
  summariseTrials,
  trialsDisagree,
  bodyInWords,
  wordsOf,
} from '@/core/measures';
import { Button } from '../primitives/button';
import { RowDetails } from './row-details';
import { Reader, canBeRead } from './instruments/reader';
import { type RowDraft, changeInWords } from './sheet';
import { type Side, numberIn } from './typed';
import type { KnownMeasures } from './known';

/** Sides and trials of one kind, what they come to, and what they were before. */
export function TrialRow({
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
  /** The sentence for a field of this row. */
  errorAt: (field: string) => string;
  onChange: (change: Partial<RowDraft>) => void;
}) {
  const [reading, setReading] = useState(false);
  const about = kindOf(kind);
  const trials = row.trials.filter((text) => text.trim() !== '').map(numberIn);
  const mean = summariseTrials(trials)?.mean ?? null;
  const set = (index: number, text: string) =>
    onChange({ trials: row.trials.map((old, at) => (at === index ? text : old)) });
  const take = (value: number) => {
    const free = row.trials.findIndex((text) => text.trim() === '');
    const text = String(toTenth(value));
    onChange({
      trials:
        free < 0
          ? [...row.trials.slice(1), text]
          : row.trials.map((t, i) => (i === free ? text : t)),
    });
  };
  const errorId = useId();
  const error =
    row.trials.map((_, index) => errorAt(`trials.${index}`)).find((say) => say !== '') ??
    errorAt('trials');
  return (
    <div className="grid gap-1 border-b border-hair py-1.5">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <span className="w-12 text-soft">{side ?? ''}</span>
        <span className="flex gap-1">
          {row.trials.map((text, index) => (
            <input
              key={index}
              aria-label={`${wordsOf(kind, side)}, trial ${index + 1}, ${unitWords(about.unit)}`}
              aria-invalid={error ? true : undefined}
              aria-describedby={error ? errorId : undefined}
              inputMode="decimal"
              autoComplete="off"
              value={text}
              onChange={(event) => set(index, event.target.value)}
              className="figures w-16 rounded border border-edge bg-sheet px-2 py-1 text-right aria-invalid:border-stop"
            />
          ))}
        </span>
        {canBeRead(row.instrument) && (
          <Button aria-expanded={reading} onClick={() => setReading(!reading)}>
            Read
            <span className="sr-only">
              {' '}
              {wordsOf(kind, side)} from the {row.instrument}
            </span>
          </Button>
        )}
        <TrialSummary kind={kind} trials={trials} />
        <span className="ml-auto text-right text-small">
          <Before kind={kind} side={side} now={mean} known={known} />
        </span>
      </div>
      {error && (
        <p id={errorId} className="text-stop">
          {error}
        </p>
      )}
      {kind === 'wall-gap' && mean !== null && mean > 0 && (
        <p className="text-small text-soft">
          Pad for wall presses: {padThickness(mean)} mm, no thicker, or it pushes the head forward
          and trains the fault.
        </p>
      )}
      {kind === 'wall-tuck' && mean === 0 && (
        <p className="text-small text-soft">Contact reached: the head touches the wall.</p>
      )}
      {about.step === 'strength' && trials.length > 0 && <Band most={Math.max(...trials)} />}
      {reading && <Reader name={row.instrument} onTrial={take} onClose={() => setReading(false)} />}
      <RowDetails
        kind={kind}
        side={side}
        row={row}
        errorAt={errorAt}
        onChange={onChange}
        known={known}
      />
    </div>
  );
}

function unitWords(unit: string): string {
  return unit === '°' ? 'degrees' : unit === 'N' ? 'newtons' : unit;
}

/** Mean and spread, and a warning when the trials disagree. */
function TrialSummary({ kind, trials }: { kind: MeasureKindId; trials: readonly number[] }) {
  const summary = summariseTrials(trials.filter(Number.isFinite));
  const { agree } = kindOf(kind);
  if (!summary || kindOf(kind).trials === 1) return null;
  const disagree = agree !== undefined && trialsDisagree(trials, agree);
  return (
    <span role="status" className="text-small">
      mean <strong className="font-semibold">{formatMeasure(kind, summary.mean)}</strong>
      {summary.count > 1 && (
        <span className="text-soft"> spread {formatMeasure(kind, summary.spread)}</span>
      )}
      {disagree && <strong className="font-semibold"> The trials disagree: take another.</strong>}
    </span>
  );
}

/** The last value, and what the new one would change. */
export function Before({
  kind,
  side,
  now,
  known,
}: {
  kind: MeasureKindId;
  side: Side;
  now: number | null;
  known: KnownMeasures;
}) {
  const series = known.series.find((one) => one.kind === kind && one.side === side);
  const last = series?.last;
  if (!series || !last) return <span className="text-soft">not measured before</span>;
  if (kindOf(kind).unit === '')
    return (
      <span>
        last {bodyInWords(last)} <span className="text-soft">on {shortDay(last.on)}</span>
        {series.first.id !== last.id && (
          <span className="block text-soft">
            first {bodyInWords(series.first)} on {shortDay(series.first.on)}
          </span>
        )}
      </span>
    );
  if (last.value === null) return <span className="text-soft">last on {shortDay(last.on)}</span>;
  const { detectable } = known;
  const then = series.first;
  const current = now ?? last.value;
  return (
    <span className="grid">
      <span>
        last {formatMeasure(kind, last.value)}{' '}
        <span className="text-soft">on {shortDay(last.on)}</span>
        {now !== null && `: ${changeInWords(kind, last.value, now, detectable)}`}
      </span>
      {then.value !== null && (then.id !== last.id || now !== null) && then.id !== last.id && (
        <span className="text-soft">
          since first, {shortDay(then.on)}: {changeInWords(kind, then.value, current, detectable)}
        </span>
      )}
    </span>
  );
}

/** The force band of pain-relief holds from the peak just measured. */
function Band({ most }: { most: number }) {
  if (!Number.isFinite(most) || most <= 0) return null;
  const { least, most: upper } = forceBand(most);
  return (
    <p className="text-small text-soft">
      {RELIEF_BAND.least * 100}–{RELIEF_BAND.most * 100} % of {Math.round(most)} N:{' '}
      <span className="figures">
        {Math.round(least)}–{Math.round(upper)} N ({kilogramForce(least).toFixed(1)}–
        {kilogramForce(upper).toFixed(1)} kg)
      </span>
      . Where no maximum is measured, use an effort of 3–5 of 10.
    </p>
  );
}
