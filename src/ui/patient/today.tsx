'use client';

import { type ReactNode, Suspense, lazy, useCallback, useEffect, useRef, useState } from 'react';
import type { CompiledWords } from '@/catalogue';
import { type PatientPack, type ShownPack, dayOfPack } from '@/core/exchange';
import type { Soreness } from '@/core/adherence';
import { type LocalDate, addDays } from '@/core/units';
import { localToday } from './local-today';
import { useLocalReminders } from './local-reminders';
import { takeEarlyAnswer } from './early-touch';
import { setTextSize, textSize } from './preferences';
import { SavedLine } from './saved-line';
import { Words, useDay, useSay } from './say';
import { StopAdvice } from './stop-advice';
import { morningToAsk } from './morning-to-ask';
import { dayShown, sessionOf } from './begun';
import { DayView, type Here } from './day-view';
import { Link } from './link';
import { MorningQuestion } from './morning-question';
import { ClinicAsks } from './clinic-asks';
import { OpenLink, Opening, Openings, askedIn } from './opening';
import { LanguageChoice, type OfferedLanguage } from './language-choice';
import { untilItComes } from './until-it-comes';
import { usePlaying } from './use-playing';
import { useWayBack } from './use-way-back';

const loadPlayer = () => import('./player');
const loadDayEntry = () => import('./day-entry');
const loadDevice = () => untilItComes(() => import('./device/device'));
const Player = lazy(() => untilItComes(loadPlayer));
const DayEntry = lazy(() => untilItComes(loadDayEntry));

/** A screen that asks for a part of the page says after so long that it has not come. */
const PART_MS = 8_000;

export type TodayProps = {
  readonly start: ShownPack;
  readonly words: CompiledWords;
  readonly language: string;
  /** What can be chosen: offered on a phone on which nothing was begun yet. */
  readonly languages: readonly OfferedLanguage[];
};

/** The patient's page, with its texts around it. */
export function Today({ words, language, languages, start }: TodayProps) {
  return (
    <Words words={words} language={language}>
      <TodayPage start={start} language={language} languages={languages} />
    </Words>
  );
}

/** Today's lantern, its sessions, and where everything is saved; with or without a signal. */
function TodayPage({ start, language, languages }: Omit<TodayProps, 'words'>) {
  const say = useSay();
  const inWords = useDay();
  const [pack, setPack] = useState<ShownPack>(start);
  // The server's day first, so that the page wakes up as it was sent.
  const [today, setToday] = useState<LocalDate>(start.days[0].date);
  const [here, setHere] = useState<Here | null>(null);
  const [telling, setTelling] = useState(false);
  const [told, setTold] = useState(false);
  /** The morning's answer, touched before this page was awake. */
  const [early, setEarly] = useState<'none' | 'some' | null>(null);
  const busy = useRef(false);
  const skew = useRef(0);
  /** Only as it comes a page can tell the time. */
  const wasLookedAt = useRef(false);
  // The whole pack, once it is here: from the clinic, else as this phone kept it.
  const [whole, setWhole] = useState<PatientPack | null | 'nowhere'>(null);
  const stopped = here?.stopped ?? false;
  const { begun, playing, moved, begin, end: endPlaying } = usePlaying({ whole, today, stopped });
  useEffect(() => {
    busy.current = begun !== null || playing !== null || telling;
  }, [begun, playing, telling]);
  const newest = useRef<PatientPack | null>(null);

  const refresh = useCallback(async () => {
    const device = await loadDevice();
    // Another day, shown by a wrong clock until the clinic answers, would move what is about to be touched.
    if (!wasLookedAt.current) {
      wasLookedAt.current = true;
      if (await device.isNew(start)) skew.current = start.at - Date.now();
    }
    const lookAt = async () => {
      const of = newest.current;
      const date = localToday(of ?? start, Date.now() + skew.current);
      const state = await device.deviceState(start.patientId, date);
      const day = of ? dayOfPack(of, date) : null;
      setToday(date);
      if (of) {
        setWhole(of);
        setPack(of);
      }
      setHere({ ...state, shares: of && day ? device.keptShares(of, day, state.kept) : {} });
    };
    await lookAt();
    const found = await device.newestPack(start);
    if (found === 'link ended') {
      // A session that is played is played to its end; the page says how things stand.
      if (!busy.current) window.location.reload();
      return;
    }
    if (!found) {
      setWhole((known) => known ?? 'nowhere');
      return;
    }
    // A phone whose clock is wrong goes by the clinic's while it can.
    if (found.fresh) skew.current = found.pack.at - Date.now();
    newest.current = found.pack;
    await lookAt();
  }, [start]);

  useEffect(() => {
    setTextSize(textSize());
    // Without it nothing can be begun here: whoever asks is told so, and goes on once it has come.
    const late = setTimeout(() => setWhole((known) => known ?? 'nowhere'), PART_MS);
    // What was done before a reload is told even if the session is never gone on with.
    void loadDevice().then(async (device) => {
      clearTimeout(late);
      await device.flushPending(start.patientId);
      await refresh();
      const pictures =
        newest.current?.lines.flatMap(({ picture, photos = [] }) =>
          [...(picture ? [picture] : []), ...photos].map(({ address }) => address),
        ) ?? [];
      await device.keepForOffline([loadPlayer, loadDayEntry], pictures);
      await device.askToPersist();
    });
    const again = () => void refresh();
    const seen = () => document.visibilityState === 'visible' && again();
    window.addEventListener('online', again);
    // A page left open over midnight shows the new day when it is looked at again.
    document.addEventListener('visibilitychange', seen);
    return () => {
      clearTimeout(late);
      window.removeEventListener('online', again);
      document.removeEventListener('visibilitychange', seen);
    };
  }, [refresh, start.patientId]);

  // What was touched before this page was awake is the document's target; the address itself may have
  // been written anew meanwhile.
  useEffect(() => {
    function open() {
      const answer = takeEarlyAnswer();
      const asked = askedIn(document.querySelector('.opening:target')?.id ?? '');
      if (!asked) return;
      // The target goes first: an address written anew leaves what was shown by it over the page.
      window.location.replace('#');
      window.history.replaceState(null, '', window.location.pathname);
      if (asked.kind === 'day') return setTelling(true);
      // The question stands on the page itself; an answer that was touched too early is given now.
      if (asked.kind === 'morning') return setEarly(answer);
      const [shown] = start.days;
      if (sessionOf(shown, asked.key)) begin({ ...asked, kept: null, on: shown.date });
    }
    open();
    window.addEventListener('hashchange', open);
    return () => window.removeEventListener('hashchange', open);
  }, [start.days, begin]);

  // What was answered here stays in sight, also once the clinic has it and asks no more.
  const [answered, setAnswered] = useState<LocalDate | null>(null);
  const asked = morningToAsk(
    { made: pack.days[0].date, morningOf: pack.questions.morningOf ?? null },
    today,
    here?.sessionDays ?? [],
    here?.mornings ?? [],
  );
  const morningOf = answered ?? asked;
  const tellMorning = useCallback(
    async (date: LocalDate, soreness: Soreness) => {
      setAnswered(addDays(date, -1));
      const device = await loadDevice();
      await device.tellDay(start, today, { type: 'morning', date, soreness });
    },
    [start, today],
  );

  const isOpen = begun !== null || playing !== null || telling;
  const leave = useCallback(() => {
    endPlaying();
    setTelling(false);
    // What was known before says nothing about what was added.
    setHere(null);
    void refresh();
  }, [endPlaying, refresh]);
  useWayBack(isOpen, leave);
  // Whoever comes back begins at the name of the page.
  const title = useRef<HTMLHeadingElement>(null);
  const wasOpen = useRef(false);
  useEffect(() => {
    if (wasOpen.current && !isOpen) title.current?.focus();
    wasOpen.current = isOpen;
  }, [isOpen]);

  const day = dayShown(pack, today, stopped);
  useLocalReminders(dayOfPack(pack, today), pack);
  if (playing)
    return (
      <Later pack={playing.pack} language={language}>
        <Player {...playing} onLeave={leave} />
      </Later>
    );
  if ((begun || telling) && whole === 'nowhere')
    return (
      <p role="status" className="p-6">
        {say('today.notHere')}
      </p>
    );
  if (begun || (telling && whole === null)) {
    const shown = begun && dayOfPack(pack, begun.on);
    const session = begun && shown && sessionOf(shown, begun.key);
    return (
      <Opening
        title={session ? session.label : say('day.title')}
        lines={session ? session.lines.flatMap((index) => pack.lines[index] ?? []) : []}
      />
    );
  }
  if (telling && whole && whole !== 'nowhere')
    return (
      <Later pack={whole} language={language}>
        <DayEntry
          pack={whole}
          today={today}
          onDone={(isTold) => {
            setTold(isTold);
            leave();
          }}
        />
      </Later>
    );
  return (
    <div className="grid gap-6">
      <div className="first-only">
        <LanguageChoice label={say('settings.language')} languages={languages} chosen={language} />
      </div>
      <header>
        <p className="text-soft">
          <bdi>{pack.clinic.name}</bdi>
        </p>
        <h1 ref={title} tabIndex={-1} className="text-2xl outline-none">
          {day?.dateText ?? inWords(today)}
        </h1>
        <p>
          <bdi>{pack.name}</bdi>
        </p>
      </header>
      {moved && <p role="status">{say('today.moved')}</p>}
      {!day && whole !== null && (
        <p role="alert">{say('today.noPack', { date: inWords(today) })}</p>
      )}
      <ClinicAsks asks={pack.questions.asks ?? []} />
      {morningOf && (
        <MorningQuestion
          key={morningOf}
          of={morningOf}
          today={today}
          // What was touched on a page of another day is no answer to what is asked today.
          early={here !== null && today === start.days[0].date ? early : null}
          tell={tellMorning}
          onLater={() => setTelling(true)}
        />
      )}
      {day && (
        <DayView
          pack={pack}
          day={day}
          here={here}
          onPlay={({ key }, end, kept) => begin({ key, end, kept, on: day.date })}
        />
      )}
      <section className="grid gap-2">
        <OpenLink asked={{ kind: 'day' }} look="wide" onOpen={() => setTelling(true)}>
          {say('day.title')}
        </OpenLink>
        {told && <p role="status">{say('day.saved')}</p>}
        <nav className="flex flex-wrap gap-x-5">
          <Link href="/today/progress">{say('today.progress')}</Link>
          <Link href="/today/settings">{say('today.settings')}</Link>
          <Link href="/today/pause">{say('today.pause')}</Link>
          <Link href="/today/together">{say('today.together')}</Link>
          {pack.questions.photo && <Link href="/today/photo">{say('today.photo')}</Link>}
        </nav>
      </section>
      <SavedLine
        delivery={here?.delivery ?? null}
        lasts={here?.lasts ?? true}
        full={here?.full ?? false}
        cleared={here?.cleared ?? false}
        clinic={pack.clinic.name}
      />
      <StopAdvice pack={pack} />
      {day && (
        <Openings
          sessions={day.extra ? [...day.sessions, day.extra] : day.sessions}
          lines={pack.lines}
        />
      )}
    </div>
  );
}

/** Where a screen is to come; after a while in words. */
function Coming() {
  const say = useSay();
  const [late, setLate] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLate(true), PART_MS);
    return () => clearTimeout(timer);
  }, []);
  return (
    <p role="status" className="p-6">
      {late ? say('today.notHere') : '…'}
    </p>
  );
}

/** A screen beyond the first, with its texts, which came with the pack. */
function Later({
  pack,
  language,
  children,
}: {
  pack: PatientPack;
  language: string;
  children: ReactNode;
}) {
  return (
    <Words words={pack.texts as CompiledWords} language={language}>
      <Suspense fallback={<Coming />}>{children}</Suspense>
    </Words>
  );
}
