import { requireFile } from '@/server/require';
import { LANTERN_DAYS } from '@/core/morning';
import type { Metadata } from 'next';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { formatSeconds, percentText, seconds, type PatientId, shortDay } from '@/core/units';
import { roleSuffices } from '@/server/access';
import { pastDecisions } from '@/server/follow/decided';
import { shownProposals } from '@/server/follow/proposals';
import { type Follow, followOf } from '@/server/follow/strips';
import { DoingPanel } from '@/ui/follow/doing-panel';
import { HelpingPanel } from '@/ui/follow/helping-panel';
import { PastDecisions } from '@/ui/follow/past-decisions';
import { ProposalsPanel } from '@/ui/follow/proposals-panel';
import { StripBoard } from '@/ui/follow/strip-board';
import { buttonClass } from '@/ui/primitives/button';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Follow' };

export default legible(FollowPage);

async function FollowPage({ params }: PageProps<'/patients/[id]/follow'>) {
  const { id } = await params;
  const { member, ...opened } = await requireFile(id);
  const { patient } = opened;
  const follow = await followOf(member, patient);
  if (follow.versions.length === 0) {
    return (
      <p className="py-8 text-soft">
        Nothing to follow yet.{' '}
        <QuietLink href={`/patients/${id}/plan`} className="text-action underline">
          Write the first programme
        </QuietLink>
        , then hand over the patient’s link.
      </p>
    );
  }
  const [proposals, past] = await Promise.all([
    shownProposals(patient),
    pastDecisions(patient, follow.record),
  ]);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-8">
      <Figures follow={follow} patientId={id} />
      {proposals && (
        <section aria-labelledby="proposals-name">
          <h2 id="proposals-name" className="pb-2 text-lg">
            What next?
          </h2>
          <ProposalsPanel
            key={`${proposals.version} ${proposals.earliest}`}
            patientId={id}
            proposals={proposals}
            mayDecide={roleSuffices(member.role, 'practitioner')}
          />
          <PastDecisions decisions={past} />
        </section>
      )}
      <section aria-labelledby="strips-name">
        <h2 id="strips-name" className="pb-2 text-lg">
          Day by day
        </h2>
        <StripBoard
          strips={follow.strips}
          seams={follow.seams.map(({ date, number }) => ({ date, number }))}
          reviews={follow.reviews}
          from={follow.from}
          today={follow.today}
          label={`What happened, day by day. ${inWords(follow)} The table below holds every day.`}
          fileName="follow"
        />
        <p className="pt-1 text-small text-soft">
          A rib lit to the top is a day done in full, a dark one was missed, a bare tick is a rest
          day. Hatched days were paused. A numbered seam is where that version began, a flag a
          review; a hollow dot was told more than 48 hours later.
        </p>
      </section>
      <div className="grid gap-8 lg:grid-cols-2">
        <Helping follow={follow} />
        <section aria-labelledby="doing-name">
          <h2 id="doing-name" className="pb-2 text-lg">
            Are they doing it?
          </h2>
          <DoingPanel
            doing={follow.doing}
            lineNames={follow.lineNames}
            slotNames={follow.slotNames}
            obstacles={follow.obstacles}
            planAddress={`/patients/${id}/plan`}
          />
        </section>
      </div>
      <div className="grid gap-8 lg:grid-cols-2">
        <Versions follow={follow} />
        <Words follow={follow} />
      </div>
    </div>
  );
}

function painsIn({ strips }: Follow) {
  const pain = strips.find(({ id }) => id === 'pain');
  return pain?.kind === 'band' ? pain.points : [];
}

function inWords(follow: Follow): string {
  const { summary } = follow;
  const pains = painsIn(follow);
  const [first, last] = [pains[0], pains.at(-1)];
  const done = `${summary.sessionsDone} of ${summary.sessionsDue} sessions done.`;
  return first && last
    ? `${done} Worst pain ${first.high} of 10 at first, ${last.high} at last.`
    : done;
}

function Figures({ follow, patientId }: { follow: Follow; patientId: PatientId }) {
  const { summary, fortnight } = follow;
  const pains = painsIn(follow);
  const [first, last] = [pains[0], pains.at(-1)];
  const facts = [
    [
      'Dose done',
      percentText(summary.share),
      `${percentText(fortnight.share)} in the last ${LANTERN_DAYS} days`,
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
      'Worst pain',
      last ? `${last.high} of 10` : '–',
      first && last
        ? `${first.high} of 10 on ${shortDay(first.date)}, the first told`
        : 'not told yet',
    ],
  ] as const;
  return (
    <div className="flex flex-wrap items-start gap-4 border-b border-hair pb-4">
      <dl className="grid grow grid-cols-2 lg:grid-cols-4">
        {facts.map(([name, value, about]) => (
          <div key={name} className="border-l border-hair pl-3">
            <dt className="text-soft">{name}</dt>
            <dd>
              <span className={`figures block text-xl ${name === 'Worst pain' ? 'text-plum' : ''}`}>
                {value}
              </span>
              <span className="text-small text-soft">{about}</span>
            </dd>
          </div>
        ))}
      </dl>
      <QuietLink href={`/patients/${patientId}/review`} className={buttonClass()}>
        Review
      </QuietLink>
    </div>
  );
}

function Helping({ follow }: { follow: Follow }) {
  const { limbs, beside, followed, seams } = follow;
  return (
    <section aria-labelledby="helping-name" className="grid content-start gap-3">
      <h2 id="helping-name" className="text-lg">
        Is it helping?
      </h2>
      <HelpingPanel
        followed={followed}
        seams={seams.map(({ date, number }) => ({ date, number }))}
      />
      {limbs.length > 0 && (
        <ul>
          {limbs.map(({ limb, say, course }) => (
            <li
              key={`${limb.side} ${limb.chain}`}
              className={course === 'spreading' ? 'font-semibold text-stop' : ''}
            >
              {say}
            </li>
          ))}
        </ul>
      )}
      <div>
        <h3 className="font-semibold">What else changed</h3>
        {beside.length === 0 ? (
          <p className="text-soft">
            No other care, medicine or pause is recorded in this time. Changes of programme stand as
            seams above.
          </p>
        ) : (
          <ul>
            {beside.map(({ date, say }) => (
              <li key={`${date} ${say}`}>
                <span className="text-soft">{shortDay(date)}</span> <span dir="auto">{say}</span>
              </li>
            ))}
          </ul>
        )}
      </div>
    </section>
  );
}

/** The newest of what the patient wrote; all of it stands in the strips' table. */
const MOST_WORDS = 12;

function Words({ follow }: { follow: Follow }) {
  const strip = follow.strips.find(({ kind }) => kind === 'notes');
  const words = strip?.kind === 'notes' ? [...strip.points].reverse().slice(0, MOST_WORDS) : [];
  return (
    <section aria-labelledby="words-name">
      <h2 id="words-name" className="pb-2 text-lg">
        In the patient’s words
      </h2>
      {words.length === 0 ? (
        <p className="text-soft">No word so far.</p>
      ) : (
        <ul className="divide-y divide-hair border-y border-hair">
          {words.map(({ date, say }, index) => (
            <li key={`${date} ${index}`} className="flex gap-3 py-2">
              <span className="shrink-0 text-soft">{shortDay(date)}</span>
              <span dir="auto">{say}</span>
            </li>
          ))}
        </ul>
      )}
    </section>
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
                  {version.number}, from {shortDay(version.effectiveFrom)}
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
