'use client';

import { useRouter } from 'next/navigation';
import { type FormEvent, useState } from 'react';
import { Form } from '../forms/form';
import { Refusal } from '../forms/refusal';
import { textOf } from '../forms/use-form';
import { useSending } from '../forms/use-sending';
import { buttonClass } from '../primitives/button';
import { INPUT_CLASS } from '../primitives/field';

/**
 * Narrows the list to whose names contain what is typed. The browser keeps the name: it stands in no
 * address, no history and no log.
 *
 * @param narrowed the address of the list as it is narrowed
 * @param whole the address of the same list without
 */
export function NarrowByName({
  name,
  narrowed,
  whole,
}: {
  name: string;
  narrowed: string;
  whole: string;
}) {
  const router = useRouter();
  const { busy, sending } = useSending();
  const [refusal, setRefusal] = useState('');

  async function onSubmit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    setRefusal('');
    const typed = textOf(new FormData(event.currentTarget), 'narrow').trim();
    const answer = await sending('/api/v1/morning/narrow', { name: typed });
    if (!answer) return;
    if (!answer.ok) return setRefusal(answer.say);
    router.push(typed === '' ? whole : narrowed);
    // The address may be the same as before, with another name behind it.
    router.refresh();
  }

  return (
    <Form onSubmit={onSubmit} className="flex flex-wrap items-end gap-2" role="search">
      <label htmlFor="narrow" className="grid gap-1">
        <span className="text-small text-soft">Narrow by name</span>
        <input
          id="narrow"
          name="narrow"
          type="search"
          autoComplete="off"
          defaultValue={name}
          className={INPUT_CLASS}
          maxLength={200}
        />
      </label>
      <button type="submit" disabled={busy} className={buttonClass()}>
        Find
      </button>
      <Refusal say={refusal} />
    </Form>
  );
}
