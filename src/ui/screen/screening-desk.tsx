'use client';

import { type ReactNode, useState } from 'react';
import type { KeptScreening } from '@/core/records';
import type { ScreeningAnswers } from '@/core/screen';
import type { PatientId } from '@/core/units';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';
import { ScreeningForm } from './screening-form';

/** The newest screening, with the form one press away; the form at once where there is none. */
export function ScreeningDesk({
  patientId,
  start,
  kept,
  fromId,
  mayConfirm,
  open,
  again,
  children,
}: {
  patientId: PatientId;
  start: ScreeningAnswers;
  /** What this member had filled in when the page was left. */
  kept: KeptScreening | null;
  fromId: string | null;
  mayConfirm: boolean;
  /** Begins with the form. */
  open: boolean;
  /** What the button to it says. */
  again: string;
  /** The screening that counts now. */
  children: ReactNode;
}) {
  const [filling, setFilling] = useState(open || kept !== null);
  const [back, setBack] = useState(kept);
  const { send } = useSend();

  function beginAnew() {
    setBack(null);
    void send('/api/v1/visit-drafts', { patientId, kind: 'screening', body: null });
  }

  if (filling)
    return (
      <>
        {back && (
          <p className="flex flex-wrap items-center gap-2 border-l-2 border-lit pl-3" role="status">
            Your unfinished screening is back as you left it. Nothing of it counts until you
            confirm.
            <Button look="quiet" onClick={beginAnew}>
              Begin it anew
            </Button>
          </p>
        )}
        <ScreeningForm
          key={back ? 'kept' : 'new'}
          patientId={patientId}
          start={start}
          kept={back}
          fromId={fromId}
          mayConfirm={mayConfirm}
          onLeave={children ? () => setFilling(false) : undefined}
        />
      </>
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
