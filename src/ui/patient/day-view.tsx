'use client';

import { dialled } from '@/core/identity';
import { type PackDay, type PackSession, type ShownPack } from '@/core/exchange';
import { BeginButton } from './begin-button';
import { BigLantern } from './big-lantern';
import type { DeviceState } from './device/device';
import { useSay } from './say';
import { Sessions } from './sessions';
import type { KeptSession } from './device/store';
import { Link } from './link';

/** What this phone knows of the day: its own sessions, and what they add to each line's share. */
export type Here = DeviceState & { readonly shares: Readonly<Record<string, number>> };

/** The day itself: its lantern, a session left half done, and the sessions to begin. */
export function DayView({
  pack,
  day,
  here,
  onPlay,
}: {
  pack: ShownPack;
  day: PackDay;
  here: Here | null;
  onPlay: (session: PackSession, end: 'least' | 'most', kept: KeptSession | null) => void;
}) {
  const say = useSay();
  const kept = here?.kept ?? [];
  const left = kept.find((one) => !one.over && one.version === day.programme?.version);
  const leftOff =
    left && day.sessions.concat(day.extra ?? []).find((session) => session.key === left.key);
  const isToday = day.date === pack.days[0].date;
  const due = [
    ...new Set([...day.sessions, ...(day.extra ? [day.extra] : [])].flatMap((s) => s.lines)),
  ]
    .sort((a, b) => a - b)
    .flatMap((index) => pack.lines[index] ?? []);
  const sessions = {
    day,
    kept,
    onBegin: (session: PackSession, end: 'least' | 'most') => onPlay(session, end, null),
  };
  return (
    <>
      {/* What is next stands first: it must be found without looking for it. */}
      {day.paused !== 'no' && <Paused pack={pack} paused={day.paused} />}
      {pack.asksHealth && <Link href="/today/health">{say('today.link')}</Link>}
      {left && leftOff && (
        <section className="grid gap-2 rounded border-2 border-lit p-4">
          <p>{say('today.leftOff', { session: leftOff.label })}</p>
          <BeginButton onClick={() => onPlay(leftOff, left.end, left)}>
            {say('today.goOn')}
          </BeginButton>
        </section>
      )}
      <Sessions show="next" {...sessions} />
      {due.length > 0 && day.paused === 'no' && (
        <BigLantern
          ribs={due.map((line) => ({
            id: line.lineage,
            name: line.name,
            complaint: line.complaint ?? '',
            words: line.how ?? line.words,
            beside: line.beside ?? '',
            picture: line.picture,
            drawnSide: line.drawnSide ?? '',
            signs: line.signs ?? [],
            share: Math.max(isToday ? line.share : 0, here?.shares[line.lineage] ?? 0),
          }))}
        />
      )}
      {day.sessions.length === 0 && day.paused === 'no' && (
        <p className="text-lg">{day.restText}</p>
      )}
      <Sessions show="others" {...sessions} />
      {isToday && (pack.cover ?? '') !== '' && (
        <p className="border-s-2 border-plum ps-3">{pack.cover}</p>
      )}
      {isToday && (pack.nextVisit ?? '') !== '' && (
        <p className="border-s-2 border-plum ps-3">{pack.nextVisit}</p>
      )}
    </>
  );
}

function Paused({ pack, paused }: { pack: ShownPack; paused: Exclude<PackDay['paused'], 'no'> }) {
  const say = useSay();
  const about = {
    'after a stop': 'paused.stop',
    'by the clinic': 'paused.clinic',
    'by you': 'paused.you',
  } as const;
  return (
    <section
      className={`grid gap-2 rounded border-2 p-4 ${paused === 'by you' ? 'border-hair' : 'border-stop'}`}
    >
      <h2 className="text-xl">{say('paused.title')}</h2>
      <p>{say(about[paused])}</p>
      <p dir="auto">
        {pack.clinic.name}:{' '}
        <a
          href={dialled(pack.clinic.phone)}
          className="inline-block py-2 text-action underline"
          dir="ltr"
        >
          {pack.clinic.phone}
        </a>
      </p>
    </section>
  );
}
