import { percentText } from '@/core/units';
import { QuietLink } from '@/ui/primitives/quiet-link';
import type { Doing, ObstacleFound } from '@/core/follow';

const shareOf = (done: number, due: number) => percentText(due === 0 ? null : done / due);

/** "Are they doing it?": by exercise and by time of day, with why not and the matching remedy. */
export function DoingPanel({
  doing,
  lineNames,
  slotNames,
  obstacles,
  planAddress,
}: {
  doing: Doing;
  lineNames: Readonly<Record<string, string>>;
  slotNames: Readonly<Record<string, string>>;
  obstacles: readonly ObstacleFound[];
  planAddress: string;
}) {
  const { summary, daysDone, daysDue, lines, times, overDoing, recalledDays, brokenOff } = doing;
  const { writtenDownDays } = doing;
  return (
    <div className="grid gap-3">
      <p>
        In the last four weeks{' '}
        <strong className="font-semibold">
          {summary.share === null ? 'nothing was due' : percentText(summary.share)}
        </strong>
        {summary.share !== null && ' of the dose'}, {summary.sessionsDone} of {summary.sessionsDue}{' '}
        sessions, on {daysDone} of {daysDue} days.
        {brokenOff > 0 &&
          ` ${brokenOff === 1 ? '1 session was' : `${brokenOff} sessions were`} broken off.`}
        {overDoing > 0 && ` Beyond the dose on ${percentText(overDoing)} of the days.`}
        {writtenDownDays > 0 &&
          ` ${writtenDownDays} of the days ${writtenDownDays === 1 ? 'was' : 'were'} written down by the clinic as told: no device counted them.`}
        {recalledDays > 0 && ` ${recalledDays} days were told of more than 48 hours later.`}
      </p>
      {obstacles.length > 0 && (
        <ul className="grid gap-1 border-l-2 border-lit pl-3">
          {obstacles.map(({ obstacle, say, remedy }) => (
            <li key={obstacle}>
              <strong className="font-semibold">Likely: {obstacle}</strong> ({say}).{' '}
              {obstacle === 'too long' ? (
                <QuietLink href={planAddress} className="text-action underline">
                  {remedy}
                </QuietLink>
              ) : (
                remedy
              )}
            </li>
          ))}
        </ul>
      )}
      <table className="w-full">
        <caption className="sr-only">By exercise, last four weeks</caption>
        <thead className="text-left text-soft">
          <tr>
            {['Exercise', 'Done', 'Left out because'].map((name) => (
              <th key={name} scope="col" className="py-1 pr-3 font-normal">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map(({ lineage, done, due, skips }) => (
            <tr key={lineage} className="border-t border-hair">
              <th scope="row" className="py-1 pr-3 text-left font-normal">
                {lineNames[lineage] ?? lineage}
              </th>
              <td className="figures pr-3 whitespace-nowrap">
                {shareOf(done, due)} of {due}
              </td>
              <td>
                {Object.entries(skips)
                  .map(([reason, count]) => `${reason} ${count}`)
                  .join(', ')}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {times.length > 1 && (
        <p>
          By time of day:{' '}
          {times
            .map(({ key, done, due }) => `${slotNames[key] ?? key} ${done} of ${due}`)
            .join(', ')}
          .
        </p>
      )}
    </div>
  );
}
