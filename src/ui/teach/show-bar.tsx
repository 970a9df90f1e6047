'use client';

import { Button } from '../primitives/button';
import type { Showing } from '../share/use-showing';

/** Whether the patient's phone shows what this desk shows: for a visit by phone or video. */
export function ShowBar({
  showing,
  begin,
  end,
}: {
  showing: Showing;
  begin: () => void;
  end: () => void;
}) {
  return (
    <section
      aria-label="On the patient’s phone"
      className={`no-print flex flex-wrap items-center gap-x-4 gap-y-2 lg:col-span-2 ${showing.kind === 'off' ? '' : 'sticky top-0 z-10 lg:top-11 border-l-4 border-lit bg-paper py-1.5 pl-3'}`}
    >
      {showing.kind === 'off' ? (
        <>
          <Button onClick={begin}>Show it on the patient’s phone</Button>
          <p
            className={showing.refused ? 'border-l-4 border-stop pl-3' : 'text-small text-soft'}
            role="status"
          >
            {showing.say}
            {showing.say === '' && 'For a visit by phone or video: drawing and count in step.'}
          </p>
        </>
      ) : (
        <>
          <p role="status" className="mr-auto">
            <strong className="font-semibold">
              {showing.kind === 'left'
                ? 'The phone still shows what this page showed.'
                : showing.cut
                  ? 'The server cannot be reached: the phone waits.'
                  : showing.phone
                    ? 'The phone shows what you show.'
                    : 'No phone looks on yet.'}
            </strong>{' '}
            {showing.kind === 'on' && !showing.phone && !showing.cut && (
              <>Ask the patient to open their programme and touch “Follow along with my clinic”.</>
            )}
            {showing.kind === 'on' && showing.phone && !showing.cut && (
              <>You do not see the patient do it: ask what you would look for.</>
            )}
          </p>
          {showing.kind === 'left' && (
            <Button look="main" onClick={begin}>
              Go on
            </Button>
          )}
          <Button onClick={end}>End on the phone</Button>
        </>
      )}
    </section>
  );
}
