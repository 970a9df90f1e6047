'use client';

import type { PatientReading, ReadBoth } from '@/core/records';
import { Dialog } from '../../primitives/dialog';

/** What a patient reads of a programme that is not sent yet, beside what the clinic reads. */
export function ReadingDialog({
  open,
  reading,
  onClose,
}: {
  open: boolean;
  /** Null until it was asked for. */
  reading: PatientReading | null;
  onClose: () => void;
}) {
  if (!reading) return null;
  return (
    <Dialog
      open={open}
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
