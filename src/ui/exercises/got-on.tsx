import { type GotOn, FEWEST_PATIENTS, GOT_ON_DAYS } from '@/core/outlook';
import { LIGHTS } from '@/core/course';
import { percentText } from '@/core/units';

const WEEKS = GOT_ON_DAYS / 7;

type Counted = Extract<GotOn, { kind: 'counted' }>;

function Share({ what, found, of }: { what: string; found: Counted['good']; of: string }) {
  return (
    <tr className="border-t border-hair align-top">
      <th scope="row" className="py-1 pr-3 text-left font-normal">
        {what}
      </th>
      <td className="figures py-1 pr-3 text-right whitespace-nowrap">
        {found ? percentText(found.share) : '–'}
      </td>
      <td className="py-1 text-soft">
        {found
          ? `of ${found.of} ${of}; 95 %: ${percentText(found.low)} to ${percentText(found.high)}`
          : `no ${of}`}
      </td>
    </tr>
  );
}

/** How this clinic's patients got on with an exercise: counts, and no cause. */
export function GotOnCounts({ found }: { found: GotOn }) {
  if (found.kind === 'too few')
    return (
      <p>
        Fewer than {FEWEST_PATIENTS} of your clinic’s patients were given it: too few to say
        anything of them.
      </p>
    );
  const { patients, now, sessions, untold, leftOut, leftForPain, stopped } = found;
  return (
    <>
      <p>
        {patients} patients, those given it last: {now['has it']} have it now,{' '}
        {now['a harder step']} a harder step of its stairs, {now['an easier step']} an easier one,{' '}
        {now['no more']} neither.
      </p>
      <p>
        In their last {WEEKS} weeks it was done {sessions - leftForPain} times, {untold} of them
        without pain, effort or the next morning told, and left out {leftOut + leftForPain} times,{' '}
        {leftForPain} of them for pain. {stopped} of those sessions were ended for a symptom, of
        this exercise or another.
      </p>
      <table className="w-full">
        <caption className="sr-only">Shares with their 95 % intervals</caption>
        <tbody>
          <Share what="Good" found={found.good} of="sessions that can be judged" />
          <Share
            what={`Pain over ${LIGHTS.amber} of 10`}
            found={found.red}
            of="sessions whose pain was told"
          />
          <Share what="Trouble next morning" found={found.troubled} of="mornings told" />
        </tbody>
      </table>
      <p className="pt-1 text-small text-soft">
        Whoever has an exercise was given it for a reason: this says nothing of what it does. Score
        intervals (Wilson 1927), as if each session stood for itself.
      </p>
    </>
  );
}
