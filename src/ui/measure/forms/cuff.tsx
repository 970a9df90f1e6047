'use client';

import { useState } from 'react';
import { CUFF_BASE, CUFF_HOLDS, CUFF_TARGETS, nodPerformanceIndex } from '@/core/measures';
import { Button } from '../../primitives/button';
import { Choice } from '../../primitives/field';
import { Reader } from '../instruments/reader';
import { numberAt } from '../typed';
import type { Form, FormRowProps } from './form';
import { NumberField } from './number-field';

function CuffRow(props: FormRowProps) {
  const [reading, setReading] = useState(false);
  const { fields, set } = props;
  const target = numberAt(fields, 'target') || CUFF_TARGETS[0];
  const holds = numberAt(fields, 'holds');
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

export const CUFF: Form = {
  body: (fields) => ({
    form: 'cuff',
    target: fields.target === undefined ? CUFF_TARGETS[0] : numberAt(fields, 'target'),
    holds: numberAt(fields, 'holds'),
  }),
  Rows: CuffRow,
};
