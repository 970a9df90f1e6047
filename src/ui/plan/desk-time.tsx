import type { WakingHours } from '@/core/schedule';
import { type LocalDate, formatSeconds } from '@/core/units';
import { type DeskLine, fullestDay, minutesText, readLine } from './draft';

/** What the programme takes: each session and the whole day, beside the minutes the patient has. */
export function DeskTime({
  lines,
  rounds,
  from,
  waking,
  minutesADay,
}: {
  lines: readonly DeskLine[];
  rounds: number;
  from: LocalDate;
  waking: WakingHours;
  minutesADay: number | null;
}) {
  const day = fullestDay(lines, from, rounds, waking);
  if (!day)
    return <p className="text-soft">The time appears with the first line that can be read.</p>;
  const unread = lines.filter((line) => !readLine(line).ok).length;
  const over = minutesADay !== null && day.total.least > minutesADay * 60;
  const close = minutesADay !== null && !over && day.total.most > minutesADay * 60;
  return (
    <div className="grid gap-3" aria-live="polite">
      <table className="w-full">
        <caption className="pb-1 text-left text-[0.93em] text-soft">
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
          The patient has {minutesADay} min a day.
        </p>
      )}
    </div>
  );
}

type Sessions = NonNullable<ReturnType<typeof fullestDay>>['sessions'];

/** Equal sessions of one beat are one row: "8 × every 2 h". */
function groups(sessions: Sessions) {
  const found = new Map<string, { label: string; time: Sessions[number]['time']; count: number }>();
  for (const session of sessions) {
    const beat = /^every-(\d+)-/.exec(session.key);
    const key = beat ? `every-${beat[1]}` : session.key;
    const known = found.get(key);
    found.set(key, {
      label: labelOf(session.key),
      time: session.time,
      count: (known?.count ?? 0) + 1,
    });
  }
  return [...found].map(([key, { label, time, count }]) => ({
    key,
    label: count > 1 ? `${count} × ${label}` : label,
    time,
  }));
}

function labelOf(key: string): string {
  const beat = /^every-(\d+)-/.exec(key);
  if (beat)
    return `every ${Number(beat[1]) % 60 === 0 ? `${Number(beat[1]) / 60} h` : `${beat[1]} min`}`;
  const nth = /^session-(\d+)$/.exec(key)?.[1];
  if (nth) return `Session ${nth}`;
  if (key === 'waking') return 'On waking';
  return key === 'before-training' ? 'Before training' : 'After training';
}
