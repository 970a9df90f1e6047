'use client';

import { type FormEvent, useState } from 'react';
import type { Answer } from './post';
import { useSending } from './use-sending';

/**
 * Sends a form as one JSON record. While it is on its way a second submission does nothing; when it
 * is refused, what was typed stays, the field that is wrong is named, and the sentence is shown.
 *
 * @param record reads the form's fields into the record
 */
export function useForm<T>(
  path: string,
  record: (fields: FormData) => unknown,
  whenDone: (value: T) => void,
) {
  const { busy, sending } = useSending();
  const [refusal, setRefusal] = useState<Extract<Answer<T>, { ok: false }> | null>(null);

  async function onSubmit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    setRefusal(null);
    const answer = await sending<T>(path, record(new FormData(event.currentTarget)));
    if (answer?.ok) whenDone(answer.value);
    else if (answer) setRefusal(answer);
  }

  /** The sentence for a field, by its path; empty when it is not the one. */
  function errorAt(...path: string[]): string {
    return refusal && refusal.at.join('.') === path.join('.') ? refusal.say : '';
  }

  /** The sentence when no field is to blame, or always, for the top of the form. */
  return { busy, onSubmit, errorAt, say: refusal?.say ?? '' };
}

/** A text field of a form. */
export function textOf(fields: FormData, name: string): string {
  const value = fields.get(name);
  return typeof value === 'string' ? value : '';
}

/** A number field of a form; NaN, which the server refuses with a sentence, when it is empty or no number. */
export function numberOf(fields: FormData, name: string): number {
  const text = textOf(fields, name).trim().replace(',', '.');
  return text === '' ? Number.NaN : Number(text);
}
