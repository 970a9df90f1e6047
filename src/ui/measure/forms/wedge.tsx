'use client';

import { wedgeFit } from '@/core/measures';
import { type Fields, numberAt } from '../typed';
import { WedgeDrawing } from '../wedge-drawing';
import type { Form, FormRowProps } from './form';
import { NumberField } from './number-field';

const heightsOf = (fields: Fields) => ({
  wedge: numberAt(fields, 'wedge'),
  ear: numberAt(fields, 'ear'),
  shoulder: numberAt(fields, 'shoulder'),
});

function WedgeRow(props: FormRowProps) {
  const { fields } = props;
  const heights = heightsOf(fields);
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

export const WEDGE: Form = {
  body: (fields) => ({ form: 'wedge', ...heightsOf(fields) }),
  Rows: WedgeRow,
};
