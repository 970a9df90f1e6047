'use client';

import { useState } from 'react';
import type { PatientReading } from '@/core/records';
import type { PatientId } from '@/core/units';
import { Refusal } from '../../forms/refusal';
import { useSending } from '../../forms/use-sending';
import { Button } from '../../primitives/button';
import { onDemand } from '../../primitives/on-demand';
import type { Desk } from '../desk-state';

const ReadingDialog = onDemand(() => import('./reading-dialog').then((made) => made.ReadingDialog));

/** The language of a patient who does not read the clinic's, and who stands for its words. */
export type PatientReads = { readonly name: string; readonly checked: boolean };

/** Shows, before a version is sent, what its patient will read, beside what the clinic reads. */
export function ReadsPanel({
  patientId,
  desk,
  reads,
}: {
  patientId: PatientId;
  desk: Desk;
  reads: PatientReads;
}) {
  const { busy, sending } = useSending();
  const [reading, setReading] = useState<PatientReading | null>(null);
  const [refusal, setRefusal] = useState('');

  async function read() {
    setRefusal('');
    const lines = desk.lines.map(({ lineage, exerciseId, dose }) => ({
      lineage,
      exerciseId,
      dose,
    }));
    const answer = await sending<PatientReading>('/api/v1/programmes/words', { patientId, lines });
    if (!answer) return;
    if (answer.ok) setReading(answer.value);
    else setRefusal(answer.say);
  }

  return (
    <div className="grid justify-items-start gap-2 border-l-2 border-lit pl-3">
      <p>
        This patient reads {reads.name}.{' '}
        {!reads.checked &&
          'Nobody of your clinic has checked its words yet: doses, stop signs and emergency words stand in English beside them.'}
      </p>
      <Refusal say={refusal} />
      <Button disabled={busy || desk.lines.length === 0} onClick={() => void read()}>
        What the patient reads
      </Button>
      <ReadingDialog open={reading !== null} reading={reading} onClose={() => setReading(null)} />
    </div>
  );
}
