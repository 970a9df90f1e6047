'use client';

import { useState } from 'react';
import type { PatientReading, ReadBoth } from '@/core/records';
import type { PatientId } from '@/core/units';
import { Refusal } from '../../forms/refusal';
import { useSending } from '../../forms/use-sending';
import { Button } from '../../primitives/button';
import { Dialog } from '../../primitives/dialog';
import type { Desk } from '../desk-state';

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
      {reading && <ReadingDialog reading={reading} onClose={() => setReading(null)} />}
    </div>
  );
}

function ReadingDialog({ reading, onClose }: { reading: PatientReading; onClose: () => void }) {
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title="What the patient reads"
      about={`English on the left, ${reading.name} on the right: a draft by machine${reading.checked ? ', for which your clinic stands' : ', to be checked by a native clinician'}.`}
    >
      {reading.lines.map(({ name, texts }, index) => (
        <Texts key={index} heading={name} texts={texts} reading={reading} />
      ))}
      <Texts
        heading={{ clinic: 'When to stop', patient: '', asWritten: false }}
        texts={reading.stopSigns}
        reading={reading}
      />
    </Dialog>
  );
}

function Texts({
  heading,
  texts,
  reading: { tag, way },
}: {
  heading: ReadBoth;
  texts: readonly ReadBoth[];
  reading: PatientReading;
}) {
  return (
    <section className="grid gap-1 border-t border-hair pt-2">
      <div className="grid grid-cols-1 gap-x-6 sm:grid-cols-2">
        <h3 className="font-semibold">{heading.clinic}</h3>
        {heading.patient !== '' && (
          <p className="font-semibold" lang={tag} dir={way}>
            {heading.patient}
          </p>
        )}
      </div>
      <ul className="grid gap-1">
        {texts.map(({ clinic, patient, asWritten }, index) => (
          <li key={index} className="grid grid-cols-1 gap-x-6 sm:grid-cols-2">
            <p>{clinic}</p>
            {asWritten ? (
              <p className="text-lit-ink">
                <bdi>{patient}</bdi> (as it was written: there are no words for it)
              </p>
            ) : (
              <p lang={tag} dir={way}>
                {patient}
              </p>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
