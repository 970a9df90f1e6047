'use client';

import { useState } from 'react';
import { Refusal } from '../forms/refusal';
import { saveFile } from '../forms/save-file';
import { useSending } from '../forms/use-sending';
import { useSay } from './say';

const BUTTON = 'min-h-12 rounded border border-edge bg-sheet px-4 font-medium';

/** The patient's sessions for the phone's own calendar: as an address that follows, or as a file. */
export function CalendarBox() {
  const say = useSay();
  const [address, setAddress] = useState('');
  const { sending } = useSending();
  const [refusal, setRefusal] = useState('');

  async function make() {
    const answer = await sending<{ address: string }>('/api/v1/patient/calendar', {});
    if (!answer) return;
    if (answer.ok) setAddress(answer.value.address);
    else setRefusal(answer.say);
  }

  return (
    <section className="grid gap-3 border-t border-hair pt-3">
      <h2 className="text-xl">{say('settings.calendar')}</h2>
      <p>{say('settings.calendar.about')}</p>
      <div className="grid gap-2 sm:grid-cols-2">
        <button type="button" className={BUTTON} onClick={() => void make()}>
          {say('settings.calendar.make')}
        </button>
        <button
          type="button"
          className={BUTTON}
          onClick={() =>
            void saveFile('/api/v1/patient/calendar/file', {}, 'exercises.ics').then(setRefusal)
          }
        >
          {say('settings.calendar.file')}
        </button>
      </div>
      <Refusal say={refusal} />
      {address && (
        <>
          <p>{say('settings.calendar.shown')}</p>
          <p
            className="figures rounded border border-hair bg-wash p-2 text-fine break-all select-all"
            data-testid="calendar-address"
          >
            {address}
          </p>
        </>
      )}
    </section>
  );
}
