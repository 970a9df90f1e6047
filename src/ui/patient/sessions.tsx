'use client';

import { useEffect, useState } from 'react';
import { type PackDay, type PackSession, type Resets, splitResets } from '@/core/exchange';
import { type Range, type Seconds, wholeMinutes, clockText } from '@/core/units';
import { OpenLink } from './opening';
import { type Say, useSay } from './say';
import type { KeptSession } from './device/store';

/**
 * The day's sessions, each with its time: the next one, which has the big button and stands first on
 * the page, or all the others.
 */
export function Sessions({
  show,
  day,
  kept,
  onBegin,
}: {
  show: 'next' | 'others';
  day: PackDay;
  kept: readonly KeptSession[];
  onBegin: (session: PackSession, end: 'least' | 'most') => void;
}) {
  const say = useSay();
  const minute = useMinute();
  const over = new Set(kept.filter((session) => session.over).map((session) => session.key));
  const isOver = (session: PackSession) => session.done || over.has(session.key);
  const { plain, resets } = splitResets(day.sessions, isOver, minute);
  const all = day.extra ? [...plain, day.extra] : plain;
  const next = plain.find((session) => !isOver(session));
  const shown = all.filter((session) => (session === next) === (show === 'next'));
  const rows = show === 'others' ? resets : [];
  if (shown.length === 0 && rows.length === 0) return null;
  return (
    <ul className="grid gap-3">
      {rows.map((row) => (
        <ResetsRow
          key={row.key}
          row={row}
          called={day.beats?.[row.minutesApart]}
          onBegin={onBegin}
        />
      ))}
      {shown.map((session) => {
        const done = session.key !== 'as-needed' && isOver(session);
        return (
          <li key={session.key} className="grid gap-2 border-t border-hair pt-3">
            <div className="flex flex-wrap items-baseline justify-between gap-x-3">
              <h2 className="text-lg">
                {session.label}
                {session.at !== null && (
                  <span className="font-normal text-soft"> · {clockText(session.at)}</span>
                )}
              </h2>
              <span className="text-soft">
                {done ? say('today.done') : timeOf(session.time, say)}
              </span>
            </div>
            {session === next || session.key === 'as-needed' ? (
              <OpenLink
                asked={{ kind: 'session', key: session.key, end: 'least' }}
                look="main"
                onOpen={() => onBegin(session, 'least')}
              >
                {say('today.begin')}
              </OpenLink>
            ) : (
              <OpenLink
                asked={{ kind: 'session', key: session.key, end: 'least' }}
                look="button"
                onOpen={() => onBegin(session, 'least')}
              >
                {say(done ? 'today.again' : 'today.beginThis')}
                <span className="sr-only">: {session.label}</span>
              </OpenLink>
            )}
            {!done && session.time.most - session.time.least >= 30 && (
              <OpenLink
                asked={{ kind: 'session', key: session.key, end: 'most' }}
                look="words"
                onOpen={() => onBegin(session, 'most')}
              >
                {say('today.longer', {
                  time: timeOf({ least: session.time.most, most: session.time.most }, say),
                })}
              </OpenLink>
            )}
          </li>
        );
      })}
    </ul>
  );
}

/** All resets of one beat: how many are done, when the next is, and one button. */
function ResetsRow({
  row: { minutesApart, count, done, now },
  called,
  onBegin,
}: {
  row: Resets;
  /** Its name; a pack of before does not say it. */
  called: string | undefined;
  onBegin: (session: PackSession, end: 'least' | 'most') => void;
}) {
  const say = useSay();
  const name =
    called ??
    (minutesApart % 60 === 0
      ? say('today.everyHours', { hours: minutesApart / 60 })
      : say('today.everyMinutes', { minutes: minutesApart }));
  return (
    <li className="grid gap-2 border-t border-hair pt-3">
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <h2 className="text-lg">{name}</h2>
        <span className="text-soft">{say('today.resetsDone', { done, count })}</span>
      </div>
      {now && (
        <OpenLink
          asked={{ kind: 'session', key: now.key, end: 'least' }}
          look="button"
          onOpen={() => onBegin(now, 'least')}
        >
          {say('today.resetNow')}
          {now.at !== null && <span className="ps-1 font-normal">· {clockText(now.at)}</span>}
          <span className="sr-only">: {name}</span>
        </OpenLink>
      )}
    </li>
  );
}

/** The minute of this phone's wall clock; null until the page is awake. */
function useMinute(): number | null {
  const [minute, setMinute] = useState<number | null>(null);
  useEffect(() => {
    const look = () => {
      const now = new Date();
      setMinute(now.getHours() * 60 + now.getMinutes());
    };
    look();
    const timer = setInterval(look, 30_000);
    return () => clearInterval(timer);
  }, []);
  return minute;
}

function timeOf(time: Range<Seconds>, say: Say): string {
  const { least, most } = wholeMinutes(time);
  return least === most
    ? say('today.about', { minutes: least })
    : say('today.between', { least, most });
}
