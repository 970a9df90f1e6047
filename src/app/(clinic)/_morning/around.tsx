import { daySaid } from '@/core/visits';
import type { coversFor } from '@/server/cover';
import type { MorningList } from '@/server/morning-list';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { type Query, address } from './query';

/** Who is away today, and who answers for them. */
export function Covers({
  today,
  covers,
  memberId,
  query,
}: Awaited<ReturnType<typeof coversFor>> & { memberId: string; query: Query }) {
  const now = covers.filter(({ fromDate }) => fromDate <= today);
  if (now.length === 0) return null;
  return (
    <ul className="pb-2">
      {now.map(({ id, memberId: away, coveredBy, toDate, ...names }) => (
        <li key={id} className="border-l-2 border-lit pl-3">
          <bdi>{names.away}</bdi> is away until {daySaid(toDate, today)};{' '}
          {coveredBy === memberId ? 'you answer.' : <>{names.by} answers.</>}{' '}
          <QuietLink href={address(query, { whose: away })} className="text-action underline">
            Their patients
          </QuietLink>
        </li>
      ))}
    </ul>
  );
}

/** Who has how much to do, and the way to one practitioner's list. */
export function Whose({ list, query }: { list: MorningList; query: Query }) {
  if (list.counts.length === 0) return null;
  return (
    <nav aria-label="Whose patients" className="flex flex-wrap gap-x-5 gap-y-1 py-2 text-small">
      <QuietLink
        href={address(query, { whose: null })}
        aria-current={query.whose === null ? 'page' : undefined}
        className={query.whose === null ? 'font-semibold' : 'text-action hover:underline'}
      >
        Everybody’s
      </QuietLink>
      {list.counts.map(({ id, name, call, decide, steady }) => (
        <QuietLink
          key={id}
          href={address(query, { whose: id })}
          aria-current={query.whose === id ? 'page' : undefined}
          className={query.whose === id ? 'font-semibold' : 'text-action hover:underline'}
        >
          <span dir="auto">{name}</span>{' '}
          <span className="text-soft">
            {call} to call, {decide} to decide, {steady} steady
          </span>
        </QuietLink>
      ))}
    </nav>
  );
}

/** The pages of a list that has more than one. */
export function Pages({ list, query }: { list: MorningList; query: Query }) {
  return (
    <nav aria-label="Pages" className="flex items-center gap-4 pt-3 text-soft">
      <span>
        {list.total} {list.total === 1 ? 'patient' : 'patients'}
        {list.pages > 1 && `, page ${list.page} of ${list.pages}`}
      </span>
      {query.group !== null && (
        <QuietLink href={address(query, { group: null })} className="text-action hover:underline">
          All groups
        </QuietLink>
      )}
      {list.page > 1 && (
        <QuietLink
          href={address(query, { page: list.page - 1 })}
          className="text-action hover:underline"
        >
          Before
        </QuietLink>
      )}
      {list.page < list.pages && (
        <QuietLink
          href={address(query, { page: list.page + 1 })}
          className="text-action hover:underline"
        >
          Next
        </QuietLink>
      )}
    </nav>
  );
}
