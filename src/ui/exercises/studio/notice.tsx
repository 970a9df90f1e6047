'use client';

import { useState } from 'react';

/** A sentence about what could not be done, until something else is. */
export function useNotice() {
  const [said, say] = useState('');
  return { said, say };
}

export function Notice({ said }: { said: string }) {
  return (
    <p role="status" className={said ? 'pt-1 font-medium text-stop' : 'sr-only'}>
      {said}
    </p>
  );
}
