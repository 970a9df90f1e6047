'use client';

import type { ReactNode } from 'react';
import type { PackSession, ShownLine } from '@/core/exchange';
import { Framed } from '../figure/framed';
import { earlyTouch } from './early-touch';
import { useSay } from './say';

/** What the page's first touch asks for, as it stands in the address after the sign #. */
export type Asked =
  | { readonly kind: 'session'; readonly key: string; readonly end: 'least' | 'most' }
  /** The morning's question: it is answered by a touch, never by an address. */
  | { readonly kind: 'morning' }
  | { readonly kind: 'day' };

/** @example placeOf({ kind: 'session', key: 'session-1', end: 'least' }) // "open-least-session-1" */
export function placeOf(asked: Asked): string {
  return asked.kind === 'session' ? `open-${asked.end}-${asked.key}` : `open-${asked.kind}`;
}

/** What a place of the document asks for; null where it is none of ours. */
export function askedIn(place: string): Asked | null {
  if (place === 'open-day') return { kind: 'day' };
  if (place === 'open-morning') return { kind: 'morning' };
  const [, end, key] = /^open-(least|most)-([a-z0-9-]{1,40})$/.exec(place) ?? [];
  return (end === 'least' || end === 'most') && key ? { kind: 'session', key, end } : null;
}

/**
 * Opens a screen of the page. It is a link to what the document already holds, so that the first touch
 * does its work before any script has come (docs/decisions/0025).
 */
export function OpenLink({
  asked,
  look,
  answer,
  onOpen,
  children,
}: {
  asked: Asked;
  /** What the touch itself says, also before the page is awake. */
  answer?: 'none' | 'some';
  look: 'main' | 'button' | 'words' | 'wide' | 'answer';
  onOpen: () => void;
  children: ReactNode;
}) {
  return (
    <a
      href={`#${placeOf(asked)}`}
      data-early={answer && earlyTouch('answer', answer)}
      onClick={(event) => {
        event.preventDefault();
        onOpen();
      }}
      className={LOOKS[look]}
    >
      {children}
    </a>
  );
}

const LOOKS = {
  main: 'grid min-h-14 place-content-center rounded bg-action px-6 py-3 text-[1.1em] font-semibold text-on-action',
  button:
    'inline-flex min-h-11 items-center justify-self-start rounded border border-edge px-4 text-action',
  words: 'inline-flex min-h-11 items-center justify-self-start px-1 text-action underline',
  answer:
    'flex min-h-12 items-center justify-center rounded border border-edge bg-sheet px-4 text-[1.1em] font-medium',
  wide: 'flex min-h-12 items-center rounded border border-edge bg-sheet px-4 text-start font-medium',
} as const;

/** What comes, while the phone gets ready for it: the screen before a session's first one. */
export function Opening({ title, lines }: { title: string; lines: readonly ShownLine[] }) {
  const say = useSay();
  return (
    <div className="mx-auto grid max-w-lg gap-5 px-5 py-5">
      <h1 className="text-2xl">{title}</h1>
      <p role="status">{say('today.opens')}</p>
      {lines.length > 0 && (
        <ol className="grid gap-4">
          {lines.map(({ lineage, name, words, picture, drawnSide = '', signs }) => (
            <li key={lineage} className="grid gap-1 border-t border-hair pt-3">
              {picture && (
                <Framed
                  side={drawnSide}
                  {...(signs ? { signs } : {})}
                  className="justify-self-start"
                >
                  {/* oxlint-disable-next-line nextjs/no-img-element -- an SVG needs no optimising */}
                  <img
                    src={picture.address}
                    width={picture.width}
                    height={picture.height}
                    alt=""
                    loading="lazy"
                    className="h-28 w-auto max-w-full"
                  />
                </Framed>
              )}
              <p className="font-semibold">{name}</p>
              <p className="text-soft">{words}</p>
            </li>
          ))}
        </ol>
      )}
    </div>
  );
}

/** Every screen that the first touch may ask for, in the document and unseen until it is asked for. */
export function Openings({
  sessions,
  lines,
}: {
  sessions: readonly PackSession[];
  lines: readonly ShownLine[];
}) {
  const say = useSay();
  return (
    <>
      {sessions.flatMap((session) =>
        (['least', 'most'] as const).map((end) => {
          const place = placeOf({ kind: 'session', key: session.key, end });
          return (
            <section key={place} id={place} className="opening" aria-label={session.label}>
              <Opening
                title={session.label}
                lines={session.lines.flatMap((index) => lines[index] ?? [])}
              />
            </section>
          );
        }),
      )}
      <section
        id={placeOf({ kind: 'morning' })}
        className="opening"
        aria-label={say('morning.question')}
      >
        <Opening title={say('morning.question')} lines={[]} />
      </section>
      <section id={placeOf({ kind: 'day' })} className="opening" aria-label={say('day.title')}>
        <Opening title={say('day.title')} lines={[]} />
      </section>
    </>
  );
}
