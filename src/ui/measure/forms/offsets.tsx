'use client';

import { heldFromBelow } from '@/core/measures';
import { type Fields, numberAt } from '../typed';
import type { Form, FormRowProps } from './form';
import { NumberField } from './number-field';

const offsetsOf = (fields: Fields) => ({
  relaxed: numberAt(fields, 'relaxed'),
  tall: numberAt(fields, 'tall'),
  chest: numberAt(fields, 'chest'),
});

function OffsetsRow(props: FormRowProps) {
  const { fields } = props;
  const offsets = offsetsOf(fields);
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

export const OFFSETS: Form = {
  body: (fields) => ({ form: 'offsets', ...offsetsOf(fields) }),
  Rows: OffsetsRow,
};
