'use client';

import { useState } from 'react';
import type { PatientId } from '@/core/units';
import { Button } from '../primitives/button';
import { onDemand } from '../primitives/on-demand';

export type LinkProps = {
  readonly patientId: PatientId;
  readonly patientName: string;
  readonly link: { readonly issued: boolean; readonly opened: boolean };
  /** The patient's language while nobody of the clinic stands for its words; else null. */
  readonly unchecked: string | null;
};

const LinkDialog = onDemand(() => import('./link-dialog').then((made) => made.LinkDialog));

/** Opens what makes, shows and ends the patient’s personal link. */
export function PatientLinkButton(props: LinkProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button aria-haspopup="dialog" aria-expanded={open} onClick={() => setOpen(true)}>
        Patient’s link
      </Button>
      <LinkDialog {...props} open={open} onClose={() => setOpen(false)} />
    </>
  );
}
