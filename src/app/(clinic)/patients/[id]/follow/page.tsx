import type { Metadata } from 'next';
import Link from 'next/link';
import { notFound, redirect } from 'next/navigation';
import type { DayAdherence } from '@/core/adherence';
import { formatSeconds, seconds } from '@/core/units';
import { currentMember } from '@/server/current';
import { type Follow, followOf } from '@/server/follow/strips';
import { LANTERN_DAYS } from '@/server/morning-list';
import { openPatient } from '@/server/open-patient';
import { Strips } from '@/ui/charts/strips';

export const metadata: Metadata = { title: 'Follow' };

export default async function FollowPage({ params }: PageProps<'/patients/[id]/follow'>) {
  const member = await currentMember();
  if (!member) redirect('/sign-in');
  const { id } = await params;
  const opened = await openPatient(member, id);
  if (!opened) notFound();
  const follow = await followOf(member, opened.patient);
  if (follow.versions.length === 0) {
    return (
      <p className="py-8 text-soft">
        Nothing to follow yet.{' '}
        <Link href={`/patients/${id}/plan`} className="text-action underline">
          Write the first programme
        </Link>
        , then hand over the patient’s link.
      </p>
    );
  }
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-8">
      <Figures follow={follow} />
      <section aria-labelledby="strips-name">
        <h2 id="strips-name" className="pb-2 text-lg">
          Day by day
        </h2>
        <div className="overflow-x-auto">
          <Strips
            days={follow.days}
            pains={follow.pains}
            seams={follow.seams}
            today={follow.today}
            label={`Dose done and pain after sessions, day by day. ${inWords(follow)} The table below holds every day.`}
          />
        </div>
        <p className="pt-1 text-[0.93em] text-soft">
          A rib lit to the top is a day done in full; a dark one was missed; a bare tick is a rest
          day, a dotted frame a paused one. A numbered seam is where that version began.
        </p>
        <DayTable follow={follow} />
      </section>
      <div className="grid gap-8 md:grid-cols-2">
        <Versions follow={follow} />
        <Notes follow={follow} />
      </div>
    </div>
  );
}

function percent(share: number | null): string {
  return share === null ? '–' : `${Math.round(share * 100)} %`;
}

function inWords({ summary, pains }: Follow): string {
  const first = pains[0];
  const last = pains.at(-1);
  const done = `${summary.sessionsDone} of ${summary.sessionsDue} sessions done.`;
  return first && last ? `${done} Pain ${first.pain} of 10 at first, ${last.pain} at last.` : done;
}

function Figures({ follow }: { follow: Follow }) {
  const { summary, fortnight, pains } = follow;
  const first = pains[0];
  const last = pains.at(-1);
  const facts = [
    [
      'Dose done',
      percent(summary.share),
      `${percent(fortnight.share)} in the last ${LANTERN_DAYS} days`,
    ],
    [
      'Sessions',
      `${summary.sessionsDone} of ${summary.sessionsDue}`,
      `${fortnight.sessionsDone} of ${fortnight.sessionsDue} in the last ${LANTERN_DAYS} days`,
    ],
    [
      'Beyond the dose',
      formatSeconds(seconds(summary.extraSeconds)),
      'held and moved, never set against a skip',
    ],
    [
      'Pain after a session',
      last ? `${last.pain} of 10` : '–',
      first && last ? `${first.pain} of 10 on ${first.date}, the first told` : 'not told yet',
    ],
  ] as const;
  return (
    <dl className="grid grid-cols-2 border-b border-hair pb-4 lg:grid-cols-4">
      {facts.map(([name, value, about]) => (
        <div key={name} className="border-l border-hair pl-3">
          <dt className="text-soft">{name}</dt>
          <dd>
            <span className={`figures block text-xl ${name.startsWith('Pain') ? 'text-plum' : ''}`}>
              {value}
            </span>
            <span className="text-[0.87em] text-soft">{about}</span>
          </dd>
        </div>
      ))}
    </dl>
  );
}

function dayText(day: DayAdherence): string {
  switch (day.kind) {
    case 'before':
    case 'future':
      return '';
    case 'rest':
      return 'rest day';
    case 'paused':
      return 'paused';
    case 'due':
      return `${percent(day.share)}${day.isToday ? ' so far' : ''}`;
  }
}

function DayTable({ follow }: { follow: Follow }) {
  const painOn = new Map(follow.pains.map(({ date, pain }) => [date, pain]));
  const seamOn = new Map(follow.seams.map(({ date, number }) => [date, number]));
  return (
    <details className="pt-2">
      <summary className="py-1 text-action">The same as a table</summary>
      <div
        className="max-h-96 overflow-auto"
        tabIndex={0}
        role="region"
        aria-label="Every day as a table"
      >
        <table className="w-full max-w-3xl">
          <thead className="sticky top-0 bg-paper text-left">
            <tr>
              {['Day', 'Dose done', 'Sessions', 'Beyond', 'Pain after', 'Version begins'].map(
                (name) => (
                  <th key={name} scope="col" className="py-1 pr-4 font-semibold">
                    {name}
                  </th>
                ),
              )}
            </tr>
          </thead>
          <tbody className="figures">
            {[...follow.days].reverse().map((day) => (
              <tr key={day.date} className="border-t border-hair">
                <th scope="row" className="py-1 pr-4 text-left font-normal">
                  {day.date}
                </th>
                <td className="pr-4">{dayText(day)}</td>
                <td className="pr-4">
                  {day.kind === 'due' ? `${day.sessionsDone}/${day.sessionsDue}` : ''}
                </td>
                <td className="pr-4">
                  {'extraSeconds' in day && day.extraSeconds > 0
                    ? formatSeconds(seconds(day.extraSeconds))
                    : ''}
                </td>
                <td className="pr-4">{painOn.get(day.date) ?? ''}</td>
                <td>{seamOn.get(day.date) ?? ''}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}

function Versions({ follow }: { follow: Follow }) {
  return (
    <section aria-labelledby="versions-name">
      <h2 id="versions-name" className="pb-2 text-lg">
        Versions
      </h2>
      <ol className="divide-y divide-hair border-y border-hair">
        {[...follow.versions].reverse().map((version) => (
          <li key={version.number} className="py-2">
            <details>
              <summary>
                <strong className="font-semibold">
                  {version.number}, from {version.effectiveFrom}
                </strong>{' '}
                <span className="text-soft">
                  {follow.seams.find((seam) => seam.number === version.number)?.author}
                  {version.reason && `: ${version.reason}`}
                </span>
              </summary>
              <ul className="py-2 pl-4">
                {version.lines.map((line) => (
                  <li key={line.lineage}>
                    {line.exercise.name} <span className="figures text-soft">{line.text}</span>
                  </li>
                ))}
              </ul>
            </details>
          </li>
        ))}
      </ol>
    </section>
  );
}

function Notes({ follow }: { follow: Follow }) {
  return (
    <section aria-labelledby="notes-name">
      <h2 id="notes-name" className="pb-2 text-lg">
        In the patient’s words
      </h2>
      {follow.notes.length === 0 ? (
        <p className="text-soft">No word after a session so far.</p>
      ) : (
        <ul className="divide-y divide-hair border-y border-hair">
          {follow.notes.map((note) => (
            <li key={`${note.date} ${note.word}`} className="flex gap-3 py-2">
              <span className="figures shrink-0 text-soft">{note.date}</span>
              <span dir="auto">{note.word}</span>
              {note.pain !== null && (
                <span className="figures ml-auto shrink-0 text-plum">{note.pain} of 10</span>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
