'use client';

import { numberAt } from '../typed';
import type { Form, FormRowProps } from './form';
import { NumberField } from './number-field';

function PressureRow(props: FormRowProps) {
  return (
    <div className="grid gap-3 sm:grid-cols-3">
      <NumberField name="systolic" label="Upper" unit="mmHg" props={props} />
      <NumberField name="diastolic" label="Lower" unit="mmHg" props={props} />
    </div>
  );
}

export const PRESSURE: Form = {
  body: (fields) => ({
    form: 'pressure',
    systolic: numberAt(fields, 'systolic'),
    diastolic: numberAt(fields, 'diastolic'),
  }),
  Rows: PressureRow,
};
