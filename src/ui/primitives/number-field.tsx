'use client';

import { type ComponentProps, useState } from 'react';
import { Field } from './field';

type Props = Omit<
  ComponentProps<typeof Field>,
  'type' | 'value' | 'onChange' | 'onFocus' | 'onBlur' | 'min' | 'max'
> & {
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly onNumber: (value: number) => void;
};

/**
 * A whole number that can be typed over: what stands there is chosen when the field is entered, an
 * empty field waits for a number instead of putting one back, and what is out of bounds is said and
 * never taken.
 */
export function NumberField({ value, min, max, onNumber, error, ...props }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const fits = (text: string) =>
    /^\d+$/.test(text.trim()) && Number(text) >= min && Number(text) <= max;
  const wrong = typed !== null && typed.trim() !== '' && !fits(typed);
  return (
    <Field
      {...props}
      type="text"
      inputMode="numeric"
      value={typed ?? String(value)}
      error={wrong ? `A whole number from ${min} to ${max}.` : (error ?? '')}
      onFocus={(event) => event.currentTarget.select()}
      onChange={(event) => {
        setTyped(event.target.value);
        if (fits(event.target.value)) onNumber(Number(event.target.value));
      }}
      // What is left standing is what counts.
      onBlur={() => setTyped(null)}
    />
  );
}
