'use client';

import { useEffect, useRef, useState } from 'react';
import { v4 as uuid } from 'uuid';
import type { Drawing } from '@/core/figure';
import { FigureStill } from '../figure/still';
import { Refusal } from '../forms/refusal';
import { useOneAtATime } from '../forms/use-one-at-a-time';
import { sendPhotoTo } from '../measure/photo/send-photo';
import { BeginButton } from './begin-button';
import { useSay } from './say';

/** Off by more than this, in degrees, the phone is not level. Common practice, no source. */
const LEVEL_WITHIN = 2;

/** A side photo by a helper: an outline to stand in, a level, and one press to send it. */
export function PhotoFromHome({ note, outline }: { note: string; outline: Drawing }) {
  const say = useSay();
  // One for each picture: sent again after a lost answer it is the same, another one is not.
  const [id, setId] = useState(() => uuid());
  const [picture, setPicture] = useState<Blob | null>(null);
  const [shown, setShown] = useState('');
  const [sent, setSent] = useState(false);
  const { busy, once } = useOneAtATime();
  const [refusal, setRefusal] = useState('');
  const roll = useRoll();

  useEffect(() => {
    if (!picture) return setShown('');
    const address = URL.createObjectURL(picture);
    setShown(address);
    return () => URL.revokeObjectURL(address);
  }, [picture]);

  function take(taken: Blob | null) {
    setPicture(taken);
    setId(uuid());
  }

  async function send() {
    if (!picture) return;
    setRefusal('');
    const file = new File([picture], 'side.jpg', { type: picture.type });
    const words = {
      empty: say('photo.unreadable'),
      tooLarge: say('photo.tooLarge'),
      unreadable: say('photo.unreadable'),
    };
    const answer = await once(() => sendPhotoTo('/api/v1/patient/photos', file, { id }, words));
    if (!answer) return;
    if (answer.ok) setSent(true);
    else setRefusal(answer.say);
  }

  if (sent) return <p role="status">{say('photo.sent')}</p>;
  return (
    <div className="grid gap-4">
      <p>{say('photo.about')}</p>
      {note && <p dir="auto">{note}</p>}
      {shown ? (
        // oxlint-disable-next-line nextjs/no-img-element -- a picture of this phone, not yet sent
        <img src={shown} alt="" className="max-h-[60dvh] w-full object-contain" />
      ) : (
        <Camera outline={outline} onTaken={take} />
      )}
      {roll !== null && !shown && (
        <p role="status" className={Math.abs(roll) <= LEVEL_WITHIN ? '' : 'font-semibold'}>
          {Math.abs(roll) <= LEVEL_WITHIN
            ? say('photo.level')
            : say('photo.tilted', { degrees: Math.round(Math.abs(roll)) })}
        </p>
      )}
      <label className="grid min-w-0 grid-cols-1 gap-1">
        {say('photo.file')}
        <input
          type="file"
          accept="image/jpeg,image/png,image/webp"
          className="min-h-12 w-full min-w-0"
          onChange={(event) => take(event.target.files?.[0] ?? null)}
        />
      </label>
      <Refusal say={refusal} />
      {shown && (
        <>
          <BeginButton disabled={busy} onClick={() => void send()}>
            {say('photo.send')}
          </BeginButton>
          <button
            type="button"
            className="min-h-12 rounded border border-edge bg-sheet"
            onClick={() => take(null)}
          >
            {say('photo.again')}
          </button>
        </>
      )}
    </div>
  );
}

/** The phone's camera behind an outline to stand in; nothing where there is none, or it is not allowed. */
function Camera({ outline, onTaken }: { outline: Drawing; onTaken: (picture: Blob) => void }) {
  const say = useSay();
  const video = useRef<HTMLVideoElement>(null);
  const [ready, setReady] = useState(false);

  useEffect(() => {
    let stream: MediaStream | null = null;
    let over = false;
    void navigator.mediaDevices
      ?.getUserMedia({ video: { facingMode: 'environment', height: { ideal: 1600 } } })
      .then((found) => {
        stream = found;
        if (over || !video.current) return found.getTracks().forEach((track) => track.stop());
        video.current.srcObject = found;
        return setReady(true);
      })
      .catch(() => undefined);
    return () => {
      over = true;
      stream?.getTracks().forEach((track) => track.stop());
    };
  }, []);

  function take() {
    const source = video.current;
    if (!source) return;
    const canvas = document.createElement('canvas');
    canvas.width = source.videoWidth;
    canvas.height = source.videoHeight;
    canvas.getContext('2d')?.drawImage(source, 0, 0);
    canvas.toBlob((picture) => picture && onTaken(picture), 'image/jpeg', 0.9);
  }

  return (
    <div className="grid gap-3">
      <div className="relative mx-auto w-fit overflow-hidden rounded bg-wash">
        <video
          ref={video}
          autoPlay
          muted
          playsInline
          className={`max-h-[60dvh] ${ready ? '' : 'hidden'}`}
        />
        <FigureStill
          drawing={outline}
          label={say('photo.outline')}
          className={
            ready ? 'absolute inset-0 m-auto h-[94%] opacity-45' : 'h-72 w-auto opacity-60'
          }
        />
      </div>
      {ready && <BeginButton onClick={take}>{say('photo.take')}</BeginButton>}
    </div>
  );
}

/** How far the phone leans to a side, in degrees, by its own sensor; null where it has none. */
function useRoll(): number | null {
  const [roll, setRoll] = useState<number | null>(null);
  useEffect(() => {
    const turned = (event: DeviceOrientationEvent) => {
      if (event.gamma !== null) setRoll(event.gamma);
    };
    window.addEventListener('deviceorientation', turned);
    return () => window.removeEventListener('deviceorientation', turned);
  }, []);
  return roll;
}
