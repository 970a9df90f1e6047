import type { Cut, TimedDay } from '@/core/programme';
import { sessionLabel } from '@/core/schedule';
import { type Range, type Seconds, formatSeconds, sumRanges } from '@/core/units';
import { minutesText } from '../draft';

/** What the programme takes: each session and the whole day, beside the minutes the patient has. */
export function DeskTime({
  day,
  week,
  unread,
  minutesADay,
  cuts,
  onCut,
}: {
  day: TimedDay | null;
  /** The first seven days together. */
  week: Range<Seconds>;
  /** Lines that cannot be read, and are not in the time. */
  unread: number;
  minutesADay: number | null;
  cuts: readonly Cut[];
  onCut: (cut: Cut) => void;
}) {
  if (!day)
    return <p className="text-soft">The time appears with the first line that can be read.</p>;
  const { setAside, total } = day;
  const over = minutesADay !== null && setAside.least > minutesADay * 60;
  const close = minutesADay !== null && !over && setAside.most > minutesADay * 60;
  const hasResets = total.most > setAside.most;
  return (
    <div className="grid gap-2" aria-live="polite">
      <table className="w-full">
        <caption className="pb-1 text-left text-small text-soft">
          True time with rests and changes, on the fullest day of the first fortnight
        </caption>
        <tbody>
          {groups(day.sessions).map((group) => (
            <tr key={group.key} className="border-t border-hair">
              <th scope="row" className="py-1 pr-2 text-left font-normal">
                {group.label}
              </th>
              <td className="figures py-1 text-right" title={formatSeconds(group.time.least)}>
                {minutesText(group.time)}
              </td>
            </tr>
          ))}
          <tr className="border-t border-ink">
            <th scope="row" className="py-1 pr-2 text-left font-semibold">
              The day
            </th>
            <td className="figures py-1 text-right font-semibold" data-testid="day-time">
              {minutesText(day.total)}
            </td>
          </tr>
          <tr className="border-t border-hair">
            <th scope="row" className="py-1 pr-2 text-left font-normal">
              The first week
            </th>
            <td className="figures py-1 text-right">{minutesText(week)}</td>
          </tr>
        </tbody>
      </table>
      {unread > 0 && (
        <p className="text-stop">
          Without {unread === 1 ? 'the line' : `the ${unread} lines`} that cannot be read yet.
        </p>
      )}
      {minutesADay !== null && (
        <p className={over ? 'text-stop' : 'text-soft'}>
          {over && <strong className="font-semibold">More than the patient has. </strong>}
          {close && 'At its most it is over. '}
          The patient has {minutesADay} min a day
          {hasResets && `, and ${minutesText(setAside)} of it are asked for; resets are apart`}.
        </p>
      )}
      <Cuts cuts={cuts} onCut={onCut} />
    </div>
  );
}

/** The cheapest cuts, what each saves and which finding it leaves without an exercise. */
function Cuts({ cuts, onCut }: { cuts: readonly Cut[]; onCut: (cut: Cut) => void }) {
  if (cuts.length === 0) return null;
  return (
    <section aria-label="Cheapest cuts">
      <h2 className="font-semibold">Cheapest cuts</h2>
      <ul>
        {cuts.map((cut) => (
          <li key={cut.say} className="border-t border-hair py-1 text-small">
            <button
              type="button"
              className="text-left text-action hover:underline"
              onClick={() => onCut(cut)}
            >
              {cut.say}
            </button>{' '}
            <span className="figures text-soft">−{formatSeconds(cut.saves)}</span>
            {cut.loses.length > 0 && (
              <span className="block text-lit-ink">Then nothing for: {cut.loses.join(' ')}</span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Equal sessions of one beat are one row, their times summed: "8 × every 2 h". */
function groups(sessions: TimedDay['sessions']) {
  const found = new Map<
    string,
    { label: string; time: TimedDay['sessions'][number]['time']; count: number }
  >();
  for (const { key, slot, time } of sessions) {
    const beat = slot.kind === 'at' ? slot.minutesApart : null;
    const group = beat === null ? key : `every-${beat}`;
    const known = found.get(group);
    found.set(group, {
      label: beat === null ? sessionLabel(slot) : beatLabel(beat),
      time: known ? sumRanges([known.time, time]) : time,
      count: (known?.count ?? 0) + 1,
    });
  }
  return [...found].map(([key, { label, time, count }]) => ({
    key,
    label: count > 1 ? `${count} × ${label}` : label,
    time,
  }));
}

function beatLabel(minutes: number): string {
  return `every ${minutes % 60 === 0 ? `${minutes / 60} h` : `${minutes} min`}`;
}
