import type { Level } from '@/core/triage';
import type { MorningGroup } from '@/server/morning-list';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { MorningRows } from '@/ui/triage/morning-row';
import { type Query, address } from './query';
import { shownRow } from './shown';

const GROUPS = {
  'call today': { title: 'Call today', mark: 'bg-stop' },
  decide: { title: 'Decide', mark: 'bg-action' },
  steady: { title: 'Steady', mark: 'bg-dark-rib' },
} as const satisfies Record<Level, { title: string; mark: string }>;

/** One group of the list, what cannot wait first. */
export function Group({
  group,
  query,
  mayAct,
}: {
  group: MorningGroup;
  query: Query;
  mayAct: boolean;
}) {
  const { level, rows, total } = group;
  if (total === 0 && (level === null || query.narrowed !== null)) return null;
  const { title, mark } = level ? GROUPS[level] : { title: 'Put aside', mark: 'bg-hair' };
  const id = `group-${level?.replace(' ', '-') ?? 'aside'}`;
  return (
    <section aria-labelledby={id} className="pt-4">
      <h2 id={id} className="flex items-baseline gap-2 text-lg">
        <span aria-hidden className={`h-4 w-1.5 self-center rounded-sm ${mark}`} />
        {title} <span className="figures text-soft">{total}</span>
        {rows.length < total && query.group === null && (
          <QuietLink
            href={address(query, { group: level ?? 'aside' })}
            className="ml-auto text-small text-action hover:underline"
          >
            Show all {total}
          </QuietLink>
        )}
      </h2>
      {rows.length === 0 ? (
        <p className="py-2 text-soft">Nobody.</p>
      ) : (
        <MorningRows rows={rows.map(shownRow)} mayAct={mayAct} />
      )}
    </section>
  );
}
