'use client';

import { useEffect, useState } from 'react';
import { post } from '../forms/post';

/** Posts the token behind the #, clears it from the address, and goes on to today. */
export function OpenLink() {
  const [say, setSay] = useState('');
  useEffect(() => {
    const token = window.location.hash.slice(1);
    window.history.replaceState(null, '', '/open');
    if (token === '') {
      setSay('This link is not complete. Open it again as your clinic gave it to you.');
      return;
    }
    void post('/api/v1/patient/open', { token }).then((answer) => {
      if (answer.ok) window.location.replace('/today');
      else setSay(answer.say);
    });
  }, []);
  return (
    <>
      <h1 className="text-2xl">
        {say === '' ? 'Opening your programme …' : 'Your programme did not open'}
      </h1>
      <p role="alert">{say}</p>
    </>
  );
}
