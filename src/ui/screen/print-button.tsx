'use client';

import { Button } from '../primitives/button';

export function PrintButton() {
  return (
    <Button className="no-print justify-self-start" onClick={() => window.print()}>
      Print
    </Button>
  );
}
