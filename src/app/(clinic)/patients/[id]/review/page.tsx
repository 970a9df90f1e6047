import { requireFile } from '@/server/require';
import { percentText, type PatientId, shortDay } from '@/core/units';
import type { Metadata } from 'next';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { roleSuffices } from '@/server/access';
import { shownProposals } from '@/server/follow/proposals';
import { type Review, reviewOf, rowInWords } from '@/server/follow/review';
import { CloseReview } from '@/ui/follow/close-review';
import { ProposalsPanel } from '@/ui/follow/proposals-panel';
import { buttonClass } from '@/ui/primitives/button';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Review' };

export default legible(ReviewPage);

async function ReviewPage({ params }: PageProps<'/patients/[id]/review'>) {
  const { id } = await params;
  const { member, ...opened } = await requireFile(id);
  const [review, proposals] = await Promise.all([
    reviewOf(member, opened.patient),
    shownProposals(opened.patient),
  ]);
  const practises = roleSuffices(member.role, 'practitioner');
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-8">
      <header className="flex flex-wrap items-center gap-3">
        <h2 className="mr-auto text-xl">Review, {shortDay(review.today)}</h2>
        {review.discharged && <strong className="font-semibold">Discharged</strong>}
        <QuietLink href={`/patients/${id}/measure`} className={buttonClass('main')}>
          Measure again
        </QuietLink>
        {review.photos && (
          <QuietLink
            href={`/patients/${id}/measure/photos/compare?earlier=${review.photos.earlier}&later=${review.photos.later}`}
            className={buttonClass()}
          >
            Photos, first over last
          </QuietLink>
        )}
      </header>
      <Measures review={review} />
      <div className="grid gap-8 lg:grid-cols-2">
        <Course review={review} />
        <Goals review={review} patientId={id} />
      </div>
      {proposals && (
        <section aria-labelledby="proposals-name">
          <h2 id="proposals-name" className="pb-2 text-lg">
            What next?
          </h2>
          <ProposalsPanel patientId={id} proposals={proposals} mayDecide={practises} />
        </section>
      )}
      <section aria-labelledby="close-name" className="grid gap-3">
        <h2 id="close-name" className="text-lg">
          Close the review
        </h2>
        {practises && (
          <CloseReview
            patientId={id}
            mayShare={review.mayShare}
            version={review.follow.versions.at(-1)?.number ?? 0}
          />
        )}
        {review.letters.length > 0 && (
          <ul>
            {review.letters.map(({ id: letterId, kind, localDate }) => (
              <li key={letterId}>
                <QuietLink
                  href={`/patients/${id}/review/${letterId}`}
                  className="text-action underline"
                >
                  {kind === 'discharge' ? 'Discharge letter' : 'Review letter'},{' '}
                  {shortDay(localDate)}
                </QuietLink>
              </li>
            ))}
          </ul>
        )}
      </section>
    </div>
  );
}

function Measures({ review }: { review: Review }) {
  if (review.rows.length === 0)
    return <p className="text-soft">Nothing was measured at first, so nothing can be compared.</p>;
  return (
    <section aria-labelledby="measures-name">
      <h2 id="measures-name" className="pb-2 text-lg">
        The same things, the same way
      </h2>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Measures compared">
        <table className="w-full min-w-[44rem]">
          <thead className="text-left text-soft">
            <tr>
              {['Measure', 'How', 'First', 'Last', 'Change', 'Today'].map((name) => (
                <th key={name} scope="col" className="py-1 pr-4 font-normal">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {review.rows.map((row) => {
              const { name, first, last, verdict } = rowInWords(row);
              return (
                <tr key={name} className="border-t border-hair">
                  <th scope="row" className="py-1 pr-4 text-left font-medium">
                    {name}
                  </th>
                  <td className="pr-4 text-soft">
                    {row.position}, {row.instrument}
                  </td>
                  <td className="figures pr-4 whitespace-nowrap">{first}</td>
                  <td className="figures pr-4 whitespace-nowrap">{last}</td>
                  <td
                    className={`pr-4 ${row.change?.real && row.change.direction === 'worse' ? 'font-semibold text-stop' : row.change?.real ? 'font-semibold' : ''}`}
                  >
                    {verdict}
                  </td>
                  <td className="whitespace-nowrap">{row.doneToday ? 'measured' : 'to measure'}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </section>
  );
}

function Course({ review }: { review: Review }) {
  const { follow, verdicts } = review;
  const { summary, limbs } = follow;
  return (
    <section aria-labelledby="course-name" className="grid content-start gap-2">
      <h2 id="course-name" className="text-lg">
        Done, and how it went
      </h2>
      <p>
        {summary.sessionsDone} of {summary.sessionsDue} sessions
        {summary.share !== null && `, ${percentText(summary.share)} of the dose`}.
      </p>
      {verdicts.map(({ clinician }) => (
        <p key={clinician}>{clinician}</p>
      ))}
      {limbs.map(({ say }) => (
        <p key={say}>{say}</p>
      ))}
      {follow.beside.length > 0 && (
        <p className="text-soft">
          In the same time:{' '}
          {follow.beside.map(({ date, say }) => `${shortDay(date)} ${say}`).join('; ')}.
        </p>
      )}
    </section>
  );
}

function Goals({ review, patientId }: { review: Review; patientId: PatientId }) {
  const { goals, activities, newFindings } = review;
  return (
    <section aria-labelledby="goals-name" className="grid content-start gap-2">
      <h2 id="goals-name" className="text-lg">
        Goals, activities, new findings
      </h2>
      {goals.length === 0 && activities.length === 0 && (
        <p className="text-soft">No goal or activity is in the record.</p>
      )}
      <ul>
        {goals.map(({ activity, reachedOn }) => (
          <li key={activity}>
            <span dir="auto">{activity}</span>:{' '}
            {reachedOn ? `reached on ${reachedOn}` : 'not reached yet'}
          </li>
        ))}
        {activities.map(({ activity, from, to }) => (
          <li key={activity}>
            <span dir="auto">{activity}</span>:{' '}
            <span className="figures">
              {from} → {to} of 10
            </span>
          </li>
        ))}
      </ul>
      {newFindings.length > 0 && (
        <div>
          <p className="font-medium">Proposed by the newest measures:</p>
          <ul className="list-disc pl-5">
            {newFindings.map((say) => (
              <li key={say}>{say}</li>
            ))}
          </ul>
          <QuietLink href={`/patients/${patientId}/measure`} className="text-action underline">
            Confirm or dismiss them under Measure
          </QuietLink>
        </div>
      )}
    </section>
  );
}
