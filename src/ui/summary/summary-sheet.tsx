import { QuietLink } from '@/ui/primitives/quiet-link';
import { MOST_EPISODES } from '@/core/record-choices';
import type { PatientId } from '@/core/units';
import { daySaid } from '@/core/visits';
import { ComplaintForm } from './complaint-form';
import { ContactForm } from './contact-form';
import { NewEpisode } from './new-episode';
import { NextVisit } from './next-visit';
import { Timeline } from './timeline';
import type { ShownSummary } from './types';
import { VisitWay } from './visit-way';

const SECTION = 'grid content-start gap-2';

/** A file's first view: how it stands, what is open, when the patient comes next, and what was done. */
export function SummarySheet({
  patientId,
  summary,
  mayPractise,
}: {
  patientId: PatientId;
  summary: ShownSummary;
  mayPractise: boolean;
}) {
  const { today, episode, isOpen, open, next, timeline } = summary;
  const isNewest = episode !== null && episode.id === summary.episodes[0]?.id;
  const openOnes = summary.episodes.filter(({ closedOn }) => closedOn === null);
  return (
    <div className="grid gap-10 lg:grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)]">
      <div className="grid content-start gap-8">
        <How summary={summary} />
        <section className={SECTION}>
          <h2 className="text-xl">Visits</h2>
          {isNewest && isOpen && (
            <VisitWay
              patientId={patientId}
              today={today}
              way={timeline.find(({ on }) => on === today)?.way ?? null}
            />
          )}
          <Timeline days={timeline} today={today} />
        </section>
      </div>
      <div className="grid content-start gap-8">
        {isNewest && (
          <section className={SECTION}>
            <h2 className="text-xl">Open</h2>
            {open.length === 0 ? (
              <p className="text-soft">Nothing is open.</p>
            ) : (
              <ul className="grid gap-1">
                {open.map(({ say, at }) => (
                  <li key={say} className="border-l-2 border-lit pl-2">
                    <QuietLink
                      href={`/patients/${patientId}/${at}`}
                      className="text-action hover:underline"
                    >
                      {say}
                    </QuietLink>
                  </li>
                ))}
              </ul>
            )}
          </section>
        )}
        {isNewest && isOpen && (
          <>
            <section className={SECTION}>
              <h2 className="text-xl">Next visit</h2>
              <NextVisit patientId={patientId} today={today} next={next} />
            </section>
            <section id="call" className={`${SECTION} scroll-mt-4`}>
              <h2 className="text-xl">A call or a message</h2>
              <ContactForm patientId={patientId} today={today} />
            </section>
          </>
        )}
        <section className={SECTION}>
          <h2 className="text-xl">From outside</h2>
          <QuietLink
            href={`/patients/${patientId}/papers`}
            className="justify-self-start text-action underline"
          >
            Papers that came in
          </QuietLink>
          <QuietLink
            href={`/patients/${patientId}/told`}
            className="justify-self-start text-action underline"
          >
            Write down a day, told by call or on paper
          </QuietLink>
        </section>
        <section className={SECTION}>
          <h2 className="text-xl">Episodes of care</h2>
          <ul className="grid gap-1">
            {summary.episodes.map((one) => (
              <li key={one.id}>
                <QuietLink
                  href={
                    one.id === summary.episodes[0]?.id
                      ? `/patients/${patientId}?view=summary`
                      : `/patients/${patientId}?episode=${one.id}`
                  }
                  aria-current={one.id === episode?.id ? 'page' : undefined}
                  className={one.id === episode?.id ? 'font-semibold' : 'text-action underline'}
                >
                  <bdi>{one.complaint}</bdi>
                </QuietLink>
                <span className="text-soft">
                  , {daySaid(one.openedOn, today)}
                  {one.closedOn ? ` to ${daySaid(one.closedOn, today)}` : ', open'}
                </span>
              </li>
            ))}
          </ul>
          {mayPractise && episode !== null && isOpen && (
            <ComplaintForm patientId={patientId} episode={episode} key={JSON.stringify(episode)} />
          )}
          {mayPractise &&
            (openOnes.length === 0 ? (
              <NewEpisode patientId={patientId} isBeside={false} />
            ) : (
              openOnes.length < MOST_EPISODES && (
                <details>
                  <summary className="text-action">Another complaint beside it</summary>
                  <NewEpisode patientId={patientId} isBeside />
                </details>
              )
            ))}
        </section>
      </div>
    </div>
  );
}

/** How it stands: goal, days, doing and helping, each in a sentence. */
function How({ summary }: { summary: ShownSummary }) {
  const { today, episode, isOpen, goals, daysIn, doing, helping } = summary;
  return (
    <section className={SECTION}>
      <h2 className="text-xl">{isOpen ? 'How it stands' : 'How it stood'}</h2>
      {episode?.closedOn && (
        <p className="border-l-2 border-plum pl-2">
          This episode was closed {daySaid(episode.closedOn, today)}. It can be read, not changed.
        </p>
      )}
      {goals.length === 0 ? (
        <p className="text-soft">No goal is written.</p>
      ) : (
        goals.map(({ activity, reachedOn }) => (
          <p key={activity}>
            Goal: <bdi>{activity}</bdi>
            {reachedOn && <span className="text-soft">, reached {daySaid(reachedOn, today)}</span>}
          </p>
        ))
      )}
      <p>
        {daysIn === null
          ? 'The programme has not begun.'
          : `Day ${daysIn} of the programme. ${doing ?? ''}`}
      </p>
      <p>{helping ?? 'Nothing was told of pain yet.'}</p>
    </section>
  );
}
