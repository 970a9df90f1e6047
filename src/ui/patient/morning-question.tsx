'use client';

import { useEffect, useRef, useState } from 'react';
import type { Soreness } from '@/core/adherence';
import { type LocalDate, addDays } from '@/core/units';
import { OpenLink } from './opening';
import { useDay, useSay } from './say';

/** What can be said after "some": a later word takes the first one's place. */
const WHICH = ['settled', 'still sore', 'flare'] as const satisfies Soreness[];

/** Two answers side by side, each a whole hand wide. */
const ANSWER =
  'flex min-h-12 w-full items-center justify-center rounded border border-edge bg-sheet px-4 text-[1.1em] font-medium';

/**
 * The one question of the morning after, answered by one touch. Nothing is chosen beforehand: what is
 * not touched is not told.
 *
 * @param of the day of the sessions that it asks about
 * @param tell keeps the answer on this phone and sends it when it can
 */
export function MorningQuestion({
  of,
  today,
  early,
  tell,
  onLater,
}: {
  of: LocalDate;
  today: LocalDate;
  /** What was touched before the page was awake; null where nothing was. */
  early: 'none' | 'some' | null;
  tell: (date: LocalDate, soreness: Soreness) => Promise<void>;
  /** A flare is told in full, on a screen of its own. */
  onLater: () => void;
}) {
  const say = useSay();
  const inWords = useDay();
  const [told, setTold] = useState<Soreness | null>(null);
  // What keeps it may be late: it is said to be saved once it is.
  const [kept, setKept] = useState<Soreness | null>(null);
  const morning = addDays(of, 1);

  function answer(soreness: Soreness) {
    setTold(soreness);
    void tell(morning, soreness).then(() => setKept(soreness));
  }
  const answers = useRef(answer);
  useEffect(() => {
    answers.current = answer;
  });
  useEffect(() => {
    if (early) answers.current(early);
  }, [early]);
  const question =
    addDays(of, 1) === today
      ? say('morning.question')
      : say('morning.question.of', { date: inWords(of) });
  return (
    <section aria-label={question} className="grid gap-3 rounded border border-hair p-4">
      {told === null && (
        <>
          <p className="text-lg font-semibold">{question}</p>
          <div className="grid grid-cols-2 gap-3">
            <OpenLink
              asked={{ kind: 'morning' }}
              look="answer"
              answer="none"
              onOpen={() => answer('none')}
            >
              {say('morning.none')}
            </OpenLink>
            <OpenLink
              asked={{ kind: 'morning' }}
              look="answer"
              answer="some"
              onOpen={() => answer('some')}
            >
              {say('morning.some')}
            </OpenLink>
          </div>
        </>
      )}
      {told === 'some' && (
        <>
          <p role="status" className="text-lg font-semibold">
            {say('morning.which')}
          </p>
          <div className="grid gap-2">
            {WHICH.map((one) => (
              <button key={one} type="button" className={ANSWER} onClick={() => answer(one)}>
                {say(`day.morning.${one}`)}
              </button>
            ))}
          </div>
        </>
      )}
      {told !== null && told !== 'some' && (
        <p role="status">{kept === told ? say('morning.saved') : '…'}</p>
      )}
      {told === 'flare' && (
        <button type="button" className={`${ANSWER} text-action`} onClick={onLater}>
          {say('day.title')}
        </button>
      )}
    </section>
  );
}
