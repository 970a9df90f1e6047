'use client';

import { useEffect, useState } from 'react';
import { openDB } from 'idb';
import { forgetPatientHere } from './device/forget';
import { useSay } from './say';

/** Says that what was done is safe on this phone, when it is. */
export function UnsentHere() {
  const say = useSay();
  const [count, setCount] = useState(0);
  useEffect(() => {
    void (async () => {
      // The link was ended: this phone forgets whom it was for.
      await forgetPatientHere();
      try {
        const names = (await indexedDB.databases()).map((database) => database.name);
        if (!names.includes('dry-lantern')) return;
        const db = await openDB('dry-lantern');
        setCount(await db.count('events'));
        db.close();
      } catch {
        // Nothing is kept here, so there is nothing to say.
      }
    })();
  }, []);
  if (count === 0) return null;
  return <p role="status">{say('open.unsent')}</p>;
}
