import type { LocalDate } from '@/core/units';
import { type VisitDeed, daySaid } from '@/core/visits';
import type { ShownDay } from './types';

const WAYS = { call: 'Called', message: 'Wrote', video: 'Spoke by video' } as const;

/** The visits of an episode, the newest first, with what was done at each. */
export function Timeline({ days, today }: { days: readonly ShownDay[]; today: LocalDate }) {
  if (days.length === 0) return <p className="text-soft">Nothing was recorded yet.</p>;
  return (
    <ol className="grid border-l border-hair">
      {days.map(({ id, on, way, deeds, contacts }) => (
        <li key={id} className="relative grid gap-0.5 py-2 pl-5">
          <span
            aria-hidden
            className="absolute top-3.5 -left-[4.5px] h-4 w-2 rounded-sm border border-dark-rib bg-lit"
          />
          <p>
            <span className="font-medium">{sentence(daySaid(on, today))}</span>
            {way && <span className="text-soft">, {way}</span>}
            {deeds.length > 0 && <>: {deedsInWords(deeds)}</>}
          </p>
          {contacts.map(({ id: contactId, body, by }) => (
            <p key={contactId} className="text-small">
              {WAYS[body.way]}
              {!body.reached && ', not reached'}
              {by && (
                <span className="text-soft">
                  {' '}
                  (<bdi>{by}</bdi>)
                </span>
              )}
              {body.agreed !== '' && (
                <>
                  : <bdi>{body.agreed}</bdi>
                </>
              )}
            </p>
          ))}
        </li>
      ))}
    </ol>
  );
}

/** What was done, in the order of a visit. */
const DEEDS: Readonly<Record<VisitDeed, string>> = {
  asked: 'history, goals or consent asked',
  screened: 'screened',
  measured: 'measured',
  photographed: 'photos taken',
  found: 'findings judged',
  planned: 'programme written',
  taught: 'taught',
  decided: 'proposals decided',
  referred: 'referred',
  'wrote a letter': 'letter written',
  noted: 'note signed',
};
const deedsInWords = (deeds: readonly VisitDeed[]) =>
  Object.entries(DEEDS)
    .flatMap(([deed, words]) => (deeds.some((one) => one === deed) ? [words] : []))
    .join(', ');

const sentence = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
