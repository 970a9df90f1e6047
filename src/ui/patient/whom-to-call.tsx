'use client';

import { useEffect, useState } from 'react';
import type { PackBeside, PackClinic } from '@/core/exchange';
import { dialled } from '@/core/identity';
import { type Answering, answeringAt } from '@/core/opening-hours';
import { momentText, momentsOfWeek, ownClockText } from '@/core/units';
import { Beside } from './beside';
import { useLanguage, useSay } from './say';

/** A large button that dials. */
export const CALL =
  'grid min-h-14 place-content-center rounded px-6 py-3 text-center text-[1.1em] font-semibold';

/** The same where nothing presses. */
export const PLAIN_CALL = 'inline-block min-h-11 py-2 text-action underline';

/**
 * Whom to call: in an emergency first, with its signs, then the clinic with whether it answers now. Each is
 * one large button that dials; where the clinic set no emergency number its words stand alone.
 */
export function WhomToCall({
  clinic,
  cover = '',
  beside,
}: {
  clinic: PackClinic;
  cover?: string;
  beside?: PackBeside | undefined;
}) {
  const say = useSay();
  const answering = useAnswering(clinic.open ?? []);
  const { emergencyNumber, readsReports } = clinic;
  return (
    <>
      <section className="grid gap-2 rounded border-2 border-stop p-4">
        <p>
          <strong className="font-semibold">{say('stop.emergency')}</strong>{' '}
          {say('stop.emergencySigns')}
        </p>
        {beside && <Beside language={beside.language}>{beside.emergency}</Beside>}
        {emergencyNumber !== undefined && (
          <a href={dialled(emergencyNumber)} className={`${CALL} bg-stop text-on-stop`}>
            {say('stop.emergencyCall', { number: emergencyNumber })}
          </a>
        )}
        <p dir="auto">{clinic.emergencyText}</p>
      </section>
      <section className="grid gap-2">
        <p className="font-semibold">{say('stop.clinic')}</p>
        <CallClinic clinic={clinic} answering={answering} />
        {readsReports !== undefined && <p>{say('stop.reads', { words: readsReports })}</p>}
        {cover !== '' && <p>{cover}</p>}
      </section>
    </>
  );
}

/** The clinic's number, or the one that is answered while it is closed. */
function CallClinic({
  clinic: { name, phone, afterHoursPhone, week },
  answering,
}: {
  clinic: PackClinic;
  answering: Answering;
}) {
  const say = useSay();
  const language = useLanguage();
  // A pack of before does not bring the week's words; making them costs a phone a fifth of a second.
  const inWords = (at: number) => momentText(week ?? momentsOfWeek(language), at);
  const own = (look: string) => (
    <a href={dialled(phone)} className={look} dir="auto">
      {say('stop.call', { who: name, number: phone })}
    </a>
  );
  if (answering.kind === 'closed' && afterHoursPhone !== undefined)
    return (
      <>
        <a href={dialled(afterHoursPhone)} className={`${CALL} bg-action text-on-action`}>
          {say('stop.afterHours', { number: afterHoursPhone })}
        </a>
        <p>{say('stop.closedUntil', { time: inWords(answering.opens) })}</p>
        {own(PLAIN_CALL)}
      </>
    );
  return (
    <>
      {own(`${CALL} bg-action text-on-action`)}
      {answering.kind === 'open' && (
        <p>{say('stop.openUntil', { time: ownClockText(answering.until) })}</p>
      )}
      {answering.kind === 'closed' && (
        <p>{say('stop.closedUntil', { time: inWords(answering.opens) })}</p>
      )}
    </>
  );
}

const MINUTE_MS = 60_000;

/** Whether it is answered now, by this phone's clock; unknown until the page is awake, as it was sent. */
function useAnswering(open: NonNullable<PackClinic['open']>): Answering {
  const [now, setNow] = useState<number | null>(null);
  useEffect(() => {
    setNow(Date.now());
    const timer = setInterval(() => setNow(Date.now()), MINUTE_MS);
    return () => clearInterval(timer);
  }, []);
  return now === null ? { kind: 'unknown' } : answeringAt(open, now);
}
