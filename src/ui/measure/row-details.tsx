'use client';

import {
  INSTRUMENTS,
  type InstrumentName,
  type MeasureKindId,
  POSITIONS,
  howMeasured,
  kindOf,
  summariseTrials,
  wordsOf,
} from '@/core/measures';
import { Choice, Field } from '../primitives/field';
import type { KnownMeasures } from './known';
import { type RowDraft, changeInWords } from './sheet';
import { type Side, numberIn } from './typed';

/** Instrument, position, quality, and the cue tried at once. */
export function RowDetails({
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
  onChange: (change: Partial<RowDraft>) => void;
}) {
  const moves = kindOf(kind).step === 'range';
  const retest = summariseTrials(row.retest.filter((t) => t.trim() !== '').map(numberIn));
  const now = summariseTrials(row.trials.filter((t) => t.trim() !== '').map(numberIn));
  return (
    <details>
      <summary className="text-small text-action">
        {moves ? 'Quality, cue and re-test' : 'Instrument and note'}
        <span className="sr-only"> of {wordsOf(kind, side)}</span>
        <span className="text-soft"> · {howMeasured(row.instrument, row.position)}</span>
      </summary>
      <div className="grid gap-3 py-2 sm:grid-cols-3">
        <Choice
          label="Instrument"
          value={row.instrument}
          onChange={(event) => onChange({ instrument: event.target.value as InstrumentName })}
        >
          {INSTRUMENTS.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </Choice>
        <Choice
          label="Position"
          value={row.position}
          onChange={(event) => onChange({ position: event.target.value as RowDraft['position'] })}
        >
          {POSITIONS.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </Choice>
        <Field
          label="Note"
          dir="auto"
          value={row.note}
          onChange={(event) => onChange({ note: event.target.value })}
          error={errorAt('note')}
        />
        {moves && (
          <>
            <Field
              label="Pain at the end, 0–10"
              inputMode="decimal"
              value={row.painAtEnd}
              onChange={(event) => onChange({ painAtEnd: event.target.value })}
              error={errorAt('painAtEnd')}
            />
            <label className="flex items-center gap-2 self-end pb-1.5">
              <input
                type="checkbox"
                className="size-4"
                checked={row.chinJut}
                onChange={(event) => onChange({ chinJut: event.target.checked })}
              />
              The chin juts at the end
            </label>
            <Field
              label="Cue tried at once"
              dir="auto"
              value={row.cue}
              onChange={(event) => onChange({ cue: event.target.value })}
              hint="By word or a light hand, then measured again."
              error={errorAt('retest.cue')}
            />
            <div className="sm:col-span-3">
              <p className="font-medium">Re-test with the cue</p>
              <span className="flex flex-wrap items-center gap-1">
                {row.retest.map((text, index) => (
                  <input
                    key={index}
                    aria-label={`${wordsOf(kind, side)}, re-test ${index + 1}, degrees`}
                    inputMode="decimal"
                    autoComplete="off"
                    value={text}
                    onChange={(event) =>
                      onChange({
                        retest: row.retest.map((old, at) =>
                          at === index ? event.target.value : old,
                        ),
                      })
                    }
                    className="figures w-16 rounded border border-edge bg-sheet px-2 py-1 text-right"
                  />
                ))}
                <span role="status" className="pl-2">
                  {retest && now && (
                    <>
                      With the cue: {changeInWords(kind, now.mean, retest.mean, known.detectable)}.
                      {row.cue.trim() === '' && ' Write the cue, or it is not kept.'}
                    </>
                  )}
                </span>
              </span>
              {errorAt('retest') && <p className="text-stop">{errorAt('retest')}</p>}
            </div>
          </>
        )}
      </div>
    </details>
  );
}
