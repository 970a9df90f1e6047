'use client';

import { useState } from 'react';
import {
  BACK_SECTIONS,
  CUFF_BASE,
  CUFF_HOLDS,
  CUFF_TARGETS,
  type MeasureKindId,
  NECK_SECTIONS,
  activityMean,
  backIndex,
  backIndexBand,
  heldFromBelow,
  kindOf,
  neckIndex,
  neckIndexBand,
  nodPerformanceIndex,
  wedgeFit,
  wordsOf,
} from '@/core/measures';
import { Button } from '../primitives/button';
import { Choice, Field } from '../primitives/field';
import { Reader } from './instruments/reader';
import { type RowDraft, type Side, numberIn } from './sheet';
import { WedgeDrawing } from './wedge-drawing';

export type FormRowProps = {
  readonly kind: MeasureKindId;
  readonly side: Side;
  readonly fields: RowDraft['fields'];
  readonly errorAt: (field: string) => string;
  readonly set: (fields: Readonly<Record<string, string>>) => void;
};

/** A number of the form, by the name of its field. */
function NumberField({
  name,
  label,
  unit,
  props: { fields, set, errorAt },
}: {
  name: string;
  label: string;
  unit: string;
  props: FormRowProps;
}) {
  return (
    <Field
      label={`${label}${unit === '' ? '' : `, ${unit}`}`}
      inputMode="decimal"
      autoComplete="off"
      value={fields[name] ?? ''}
      onChange={(event) => set({ [name]: event.target.value })}
      error={errorAt(`body.${name}`)}
    />
  );
}

const at = (fields: RowDraft['fields'], name: string) => numberIn(fields[name] ?? '');

export function ChoiceRow({ kind, side, fields, set }: FormRowProps) {
  return (
    <label className="flex items-center gap-3">
      <span className="w-12 text-soft" aria-hidden>
        {side}
      </span>
      <select
        aria-label={wordsOf(kind, side)}
        value={fields.option ?? ''}
        onChange={(event) => set({ option: event.target.value })}
        className="w-56 rounded border border-hair bg-sheet px-2 py-1"
      >
        <option value="">not looked at</option>
        {kindOf(kind).options?.map((option) => (
          <option key={option}>{option}</option>
        ))}
      </select>
    </label>
  );
}

export function OffsetsRow(props: FormRowProps) {
  const { fields } = props;
  const offsets = {
    relaxed: at(fields, 'relaxed'),
    tall: at(fields, 'tall'),
    chest: at(fields, 'chest'),
  };
  const whole = Object.values(offsets).every(Number.isFinite);
  const held = whole ? heldFromBelow(offsets) : null;
  const share = (value: number) => `${Math.round(value)} %`;
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-3">
        <NumberField name="relaxed" label="Sitting relaxed" unit="mm" props={props} />
        <NumberField name="tall" label="Sitting tall" unit="mm" props={props} />
        <NumberField name="chest" label="Chest lifted" unit="mm" props={props} />
      </div>
      <p role="status">
        {held?.kind === 'within error' &&
          `Sitting relaxed the head is within ${held.error} mm, the error of measuring: no share is given.`}
        {held?.kind === 'share' && (
          <>
            <strong className="font-semibold">{share(held.total)} held from below</strong>:{' '}
            {share(held.byTall)} by sitting tall, {share(held.byChest)} by lifting the chest.{' '}
            {held.total >= 50
              ? 'Upper-back extension and shoulder-blade work lead the programme.'
              : 'Neck strength leads the programme.'}
          </>
        )}
      </p>
    </>
  );
}

export function WedgeRow(props: FormRowProps) {
  const { fields } = props;
  const heights = {
    wedge: at(fields, 'wedge'),
    ear: at(fields, 'ear'),
    shoulder: at(fields, 'shoulder'),
  };
  const whole = Object.values(heights).every((height) => Number.isFinite(height) && height >= 0);
  const fit = whole ? wedgeFit(heights) : null;
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-3">
        <NumberField name="wedge" label="Floor to where the head rests" unit="mm" props={props} />
        <NumberField name="ear" label="From there up to the ear" unit="mm" props={props} />
        <NumberField name="shoulder" label="Floor to the shoulder point" unit="mm" props={props} />
      </div>
      {fit && (
        <>
          <p role="status">
            {fit.under === 'nothing'
              ? 'Ear and shoulder are level. Nothing is needed under the trunk.'
              : `${Math.round(fit.thickness)} mm under the ${fit.under} brings ear and shoulder level.`}
          </p>
          <WedgeDrawing heights={heights} fit={fit} />
        </>
      )}
    </>
  );
}

export function CuffRow(props: FormRowProps) {
  const [reading, setReading] = useState(false);
  const { fields, set } = props;
  const target = at(fields, 'target') || CUFF_TARGETS[0];
  const holds = at(fields, 'holds');
  return (
    <>
      <div className="grid items-end gap-3 sm:grid-cols-3">
        <Choice
          label={`Target from ${CUFF_BASE}, mmHg`}
          value={String(target)}
          onChange={(event) => set({ target: event.target.value })}
        >
          {CUFF_TARGETS.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </Choice>
        <NumberField
          name="holds"
          label={`Holds of ten seconds, of ${CUFF_HOLDS}`}
          unit=""
          props={props}
        />
        <Button className="justify-self-start" onClick={() => setReading(!reading)}>
          Read from the air cuff
        </Button>
      </div>
      {reading && (
        <Reader
          name="air cuff"
          target={target}
          onTrial={() =>
            set({ holds: String(Math.min(CUFF_HOLDS, (Number.isFinite(holds) ? holds : 0) + 1)) })
          }
          onClose={() => setReading(false)}
        />
      )}
      <p role="status">
        {Number.isFinite(holds) && holds >= 0 && holds <= CUFF_HOLDS && (
          <>
            Performance index{' '}
            <strong className="figures font-semibold">{nodPerformanceIndex(target, holds)}</strong>{' '}
            of 100: rise {target - CUFF_BASE} mmHg × {holds} holds.
          </>
        )}
      </p>
    </>
  );
}

export function PressureRow(props: FormRowProps) {
  return (
    <div className="grid gap-3 sm:grid-cols-3">
      <NumberField name="systolic" label="Upper" unit="mmHg" props={props} />
      <NumberField name="diastolic" label="Lower" unit="mmHg" props={props} />
    </div>
  );
}

export function SectionsRow(props: FormRowProps) {
  const { kind, fields, set, errorAt } = props;
  const titles = kind === 'neck-index' ? NECK_SECTIONS : BACK_SECTIONS;
  const scores = titles.map((_, index) => {
    const text = fields[`section ${index}`] ?? '';
    return text.trim() === '' ? null : numberIn(text);
  });
  const valid = scores.every((score) => score === null || (score >= 0 && score <= 5));
  const value = valid ? (kind === 'neck-index' ? neckIndex(scores) : backIndex(scores)) : null;
  return (
    <>
      <div className="grid gap-x-6 gap-y-1 sm:grid-cols-2">
        {titles.map((title, index) => (
          <label key={title} className="flex items-center justify-between gap-2">
            {title}
            <input
              aria-label={`${kindOf(kind).name}, ${title}, 0 to 5`}
              inputMode="numeric"
              autoComplete="off"
              value={fields[`section ${index}`] ?? ''}
              onChange={(event) => set({ [`section ${index}`]: event.target.value })}
              className="figures w-14 rounded border border-hair bg-sheet px-2 py-0.5 text-right"
            />
          </label>
        ))}
      </div>
      {errorAt('body.scores') && <p className="text-stop">{errorAt('body.scores')}</p>}
      <p role="status">
        {value !== null && scores.some((score) => score !== null) && (
          <>
            <strong className="figures font-semibold">
              {Math.round(value)}
              {kind === 'neck-index' ? ' of 50' : ' %'}
            </strong>
            : {kind === 'neck-index' ? neckIndexBand(value) : backIndexBand(value)}
            {scores.includes(null) &&
              `, reckoned from ${scores.filter((score) => score !== null).length} sections`}
            .
          </>
        )}
      </p>
    </>
  );
}

export function ActivitiesRow({ fields, set, errorAt }: FormRowProps) {
  const shown = [0, 1, 2, 3, 4];
  const given = shown
    .filter((index) => (fields[`activity ${index}`] ?? '').trim() !== '')
    .map((index) => ({
      name: fields[`activity ${index}`] ?? '',
      score: at(fields, `score ${index}`),
    }));
  const mean = given.every(({ score }) => score >= 0 && score <= 10) ? activityMean(given) : null;
  return (
    <>
      <div className="grid gap-1">
        {shown.map((index) => (
          <div key={index} className="flex gap-2">
            <input
              aria-label={`Activity ${index + 1}`}
              dir="auto"
              autoComplete="off"
              maxLength={120}
              value={fields[`activity ${index}`] ?? ''}
              onChange={(event) => set({ [`activity ${index}`]: event.target.value })}
              className="min-w-0 flex-1 rounded border border-hair bg-sheet px-2 py-1"
            />
            <input
              aria-label={`Score of activity ${index + 1}, 0 to 10`}
              inputMode="decimal"
              autoComplete="off"
              value={fields[`score ${index}`] ?? ''}
              onChange={(event) => set({ [`score ${index}`]: event.target.value })}
              className="figures w-16 rounded border border-hair bg-sheet px-2 py-1 text-right"
            />
          </div>
        ))}
      </div>
      {errorAt('body.activities') && <p className="text-stop">{errorAt('body.activities')}</p>}
      <p role="status">{mean !== null && `Mean ${mean.toFixed(1)} of 10.`}</p>
    </>
  );
}
