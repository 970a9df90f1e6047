'use client';

import { useEffect, useState } from 'react';
import { post } from '../forms/post';
import { useSay } from './say';

/** Posts the token behind the #, clears it from the address, and goes on to today. */
export function OpenLink() {
  const tell = useSay();
  const [say, setSay] = useState('');
  useEffect(() => {
    const token = window.location.hash.slice(1);
    window.history.replaceState(null, '', '/open');
    if (token === '') {
      setSay(tell('open.incomplete'));
      return;
    }
    void post('/api/v1/patient/open', { token }).then((answer) => {
      if (answer.ok) window.location.replace('/today');
      else setSay(answer.say);
    });
  }, [tell]);
  return (
    <>
      <h1 className="text-2xl">{tell(say === '' ? 'open.opening' : 'open.failed')}</h1>
      <p role="alert">{say}</p>
    </>
  );
}
