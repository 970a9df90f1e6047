'use client';

import { useEffect, useRef, useState } from 'react';
import { v4 as uuid } from 'uuid';
import type { Drawing } from '@/core/figure';
import { FigureStill } from '../figure/still';
import { Refusal } from '../forms/refusal';
import { sendPhotoTo } from '../measure/photo/send-photo';
import { BeginButton } from './begin-button';
import { useSay } from './say';

/** Off by more than this, in degrees, the phone is not level. Common practice, no source. */
const LEVEL_WITHIN = 2;

/** A side photo by a helper: an outline to stand in, a level, and one press to send it. */
export function PhotoFromHome({ note, outline }: { note: string; outline: Drawing }) {
  const say = useSay();
  const [id] = useState(() => uuid());
  const [picture, setPicture] = useState<Blob | null>(null);
  const [shown, setShown] = useState('');
  const [sent, setSent] = useState(false);
  const [busy, setBusy] = useState(false);
  const [refusal, setRefusal] = useState('');
  const roll = useRoll();

  useEffect(() => {
    if (!picture) return setShown('');
    const address = URL.createObjectURL(picture);
    setShown(address);
    return () => URL.revokeObjectURL(address);
  }, [picture]);

  async function send() {
    if (!picture || busy) return;
    setBusy(true);
    setRefusal('');
    const file = new File([picture], 'side.jpg', { type: picture.type });
    const answer = await sendPhotoTo('/api/v1/patient/photos', file, { id });
    setBusy(false);
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
        <Camera outline={outline} onTaken={setPicture} />
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
          onChange={(event) => setPicture(event.target.files?.[0] ?? null)}
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
            onClick={() => setPicture(null)}
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
