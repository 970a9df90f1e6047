'use client';

import { useSay } from './say';

/** What whoever was handed the link is asked. */
export function TellPage() {
  const say = useSay();
  return (
    <>
      <h1 className="text-2xl">{say('tell.title')}</h1>
      <p>{say('tell.ask')}</p>
      <p>{say('tell.how')}</p>
      <p className="text-soft">{say('tell.nothing')}</p>
    </>
  );
}
