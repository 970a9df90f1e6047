'use client';

import { useRouter } from 'next/navigation';
import { useId, useState } from 'react';
import { v4 as uuid } from 'uuid';
import { MOST_SET_UP_PHOTOS } from '@/core/record-choices';
import type { PatientId, PhotoId } from '@/core/units';
import { Refusal } from '../forms/refusal';
import { useSend } from '../forms/use-send';
import { useOneAtATime } from '../forms/use-one-at-a-time';
import { sendPhotoTo } from '../measure/photo/send-photo';
import { Button, buttonClass } from '../primitives/button';

export type ShownPhoto = {
  readonly id: PhotoId;
  readonly width: number;
  readonly height: number;
};

/** This patient's own set-up for one line: taken in the room, seen on sheet, handout and phone. */
export function SetUpPhotos({
  patientId,
  lineage,
  name,
  photos,
  consented,
  mayTake,
}: {
  patientId: PatientId;
  lineage: string;
  name: string;
  photos: readonly ShownPhoto[];
  consented: boolean;
  mayTake: boolean;
}) {
  const title = useId();
  return (
    <section aria-labelledby={title} className="grid gap-2 pt-4">
      <h3 id={title} className="font-semibold">
        This patient’s own set-up{' '}
        <span className="font-normal text-soft">
          ({photos.length} of {MOST_SET_UP_PHOTOS} photos)
        </span>
      </h3>
      <Photos
        patientId={patientId}
        photos={photos}
        say={(nth) => `Set-up for ${name}, photo ${nth}`}
        mayDelete={mayTake}
      />
      {!consented && (
        <p className="no-print text-soft">
          To take one, record consent for photos first, under{' '}
          <a className="text-action underline" href="screen">
            Screen
          </a>
          .
        </p>
      )}
      {consented && mayTake && photos.length < MOST_SET_UP_PHOTOS && (
        <Take patientId={patientId} lineage={lineage} />
      )}
    </section>
  );
}

/** Photos that are shown nowhere any more, to be deleted. */
export function UnseenPhotos({
  patientId,
  photos,
  consented,
}: {
  patientId: PatientId;
  photos: readonly ShownPhoto[];
  consented: boolean;
}) {
  const title = useId();
  if (photos.length === 0) return null;
  return (
    <section aria-labelledby={title} className="no-print grid gap-2">
      <h2 id={title} className="text-lg">
        Set-up photos that are not shown ({photos.length})
      </h2>
      <p className="text-soft">
        {consented
          ? 'Their lines are not part of the programme now. Delete what is not needed.'
          : 'Consent for photos was taken back or is not recorded: nobody is shown them. Delete them, or ask again under Screen.'}
      </p>
      <Photos
        patientId={patientId}
        photos={photos}
        say={(nth) => `Set-up photo ${nth} that is not shown`}
        mayDelete
      />
    </section>
  );
}

function Photos({
  patientId,
  photos,
  say,
  mayDelete,
}: {
  patientId: PatientId;
  photos: readonly ShownPhoto[];
  say: (nth: number) => string;
  mayDelete: boolean;
}) {
  const [asking, setAsking] = useState<PhotoId | null>(null);
  const { busy, send } = useSend();
  if (photos.length === 0) return null;
  return (
    <ul className="flex flex-wrap gap-3">
      {photos.map(({ id, width, height }, index) => (
        <li key={id} className="grid w-36 content-start gap-1">
          {/* oxlint-disable-next-line nextjs/no-img-element -- private pictures never pass through an image cache */}
          <img
            src={`/api/v1/photos/picture?id=${id}`}
            width={width}
            height={height}
            alt={say(index + 1)}
            className="h-auto w-full rounded border border-hair"
          />
          {mayDelete && asking !== id && (
            <Button
              look="quiet"
              className="no-print"
              aria-label={`Delete ${say(index + 1)}`}
              onClick={() => setAsking(id)}
            >
              Delete
            </Button>
          )}
          {asking === id && (
            <div
              role="group"
              aria-label={`Delete ${say(index + 1)}`}
              className="no-print grid gap-1 text-small"
            >
              <span>Nobody can bring it back.</span>
              <Button
                look="stop"
                disabled={busy}
                onClick={() =>
                  void send(
                    '/api/v1/photos/delete',
                    { patientId, photoId: id },
                    { done: () => setAsking(null), said: 'The photo is gone for good.' },
                  )
                }
              >
                Delete for good
              </Button>
              <Button look="quiet" onClick={() => setAsking(null)}>
                Keep it
              </Button>
            </div>
          )}
        </li>
      ))}
    </ul>
  );
}

/** Takes a photo with the tablet's camera, or chooses one. */
function Take({ patientId, lineage }: { patientId: PatientId; lineage: string }) {
  const router = useRouter();
  const input = useId();
  const { busy, once } = useOneAtATime();
  const [say, setSay] = useState('');
  async function take(file: File | undefined) {
    if (!file) return;
    setSay('');
    const facts = { id: uuid(), patientId, lineage };
    const answer = await once(() => sendPhotoTo('/api/v1/photos/set-up', file, facts));
    if (!answer) return;
    if (!answer.ok) return setSay(answer.say);
    router.refresh();
  }
  return (
    <div className="no-print grid min-w-0 gap-1">
      <input
        id={input}
        type="file"
        accept="image/jpeg,image/png,image/webp"
        capture="environment"
        disabled={busy}
        className="peer sr-only"
        onChange={({ target }) => {
          void take(target.files?.[0]);
          target.value = '';
        }}
      />
      <label
        htmlFor={input}
        className={`${buttonClass('plain', 'hand')} justify-self-start peer-focus-visible:outline-2 peer-focus-visible:outline-offset-2 peer-focus-visible:outline-action`}
      >
        {busy ? 'Sending …' : 'Take a photo of it'}
      </label>
      <p className="text-small text-soft">
        It shows on this patient’s sheet, handout and phone. Where it was taken is removed from it.
      </p>
      <Refusal say={say} />
    </div>
  );
}
