'use client';

import { percent } from '@/core/units';
import type { PackPicture } from '@/core/exchange';
import type { DoseSign } from '@/core/dose';
import { Framed } from '../figure/framed';
import { Beside } from './beside';
import { type Say, useSay } from './say';

/** One exercise of today. */
export type ExerciseRib = {
  readonly id: string;
  readonly name: string;
  /** What it is for; empty where one complaint is treated. */
  readonly complaint: string;
  readonly words: string;
  /** The same in the clinic's language; empty where that is not wanted. */
  readonly beside: string;
  /** Share of today's dose done, 0–1. */
  readonly share: number;
  readonly picture: PackPicture | null;
  readonly drawnSide: string;
  readonly signs: readonly DoseSign[];
};

/**
 * The large lantern of the patient's page: its ribs are today's exercises and light up as they are
 * done. It is a list, so that it is read as one; the paper around it is drawn by its shape.
 */
export function BigLantern({ ribs }: { ribs: readonly ExerciseRib[] }) {
  const say = useSay();
  return (
    <section aria-label={say('today.exercises')} className="grid justify-items-center">
      <Cap />
      <ol className="grid w-full gap-3 py-3">
        {ribs.map((rib, index) => (
          <li key={rib.id} className="grid justify-items-center gap-1 text-center">
            <div
              aria-hidden
              className="relative h-4 overflow-hidden rounded-full border border-dark-rib bg-sheet"
              style={{ width: `${bulge(index, ribs.length)}%` }}
            >
              <div
                className="h-full rounded-full bg-lit transition-[width] duration-700"
                style={{ width: `${rib.share * 100}%` }}
              />
            </div>
            {rib.picture && (
              <Framed side={rib.drawnSide} signs={rib.signs} className="min-w-[min(12rem,100%)]">
                {/* oxlint-disable-next-line nextjs/no-img-element -- an SVG needs no optimising */}
                <img
                  src={rib.picture.address}
                  width={rib.picture.width}
                  height={rib.picture.height}
                  alt=""
                  loading="lazy"
                  className="h-20 w-auto max-w-full"
                />
              </Framed>
            )}
            <p className="font-semibold leading-tight">
              {rib.name} <span className="font-normal text-soft">{shareText(rib.share, say)}</span>
            </p>
            {rib.complaint !== '' && (
              <p className="text-fine leading-snug" dir="auto">
                {say('today.for', { complaint: rib.complaint })}
              </p>
            )}
            <p className="max-w-[34ch] text-fine leading-snug text-soft">{rib.words}</p>
            {rib.beside !== '' && <Beside language="en">{rib.beside}</Beside>}
          </li>
        ))}
      </ol>
      <Cap />
    </section>
  );
}

function shareText(share: number, say: Say): string {
  if (share === 0) return '';
  return share >= 0.995 ? say('today.shareDone') : say('today.share', { percent: percent(share) });
}

/** The paper bulges in the middle: the width of a rib in percent. */
function bulge(index: number, count: number): number {
  return Math.round(60 + 36 * Math.sin(((index + 0.5) / count) * Math.PI));
}

function Cap() {
  return <div aria-hidden className="h-2.5 w-24 rounded-sm bg-ink" />;
}
