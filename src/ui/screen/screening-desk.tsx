'use client';

import { type ReactNode, useState } from 'react';
import type { ScreeningAnswers } from '@/core/screen';
import type { PatientId } from '@/core/units';
import { Button } from '../primitives/button';
import { ScreeningForm } from './screening-form';

/** The newest screening, with the form one press away; the form at once where there is none. */
export function ScreeningDesk({
  patientId,
  start,
  fromId,
  mayConfirm,
  open,
  again,
  children,
}: {
  patientId: PatientId;
  start: ScreeningAnswers;
  fromId: string | null;
  mayConfirm: boolean;
  /** Begins with the form. */
  open: boolean;
  /** What the button to it says. */
  again: string;
  /** The screening that counts now. */
  children: ReactNode;
}) {
  const [filling, setFilling] = useState(open);
  if (filling)
    return (
      <ScreeningForm
        patientId={patientId}
        start={start}
        fromId={fromId}
        mayConfirm={mayConfirm}
        onLeave={children ? () => setFilling(false) : undefined}
      />
    );
  return (
    <div className="grid gap-4">
      {children}
      <Button className="justify-self-start" onClick={() => setFilling(true)}>
        {again}
      </Button>
    </div>
  );
}
