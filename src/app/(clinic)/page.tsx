import { requireMember } from '@/server/require';
import type { Metadata } from 'next';
import { cookies } from 'next/headers';
import { LANTERN_DAYS } from '@/core/morning';
import { roleSuffices } from '@/server/access';
import { backupWarning } from '@/server/backups';
import { writtenAhead } from '@/server/clock-look';
import { clinicOf } from '@/server/clinic';
import { cookieOf } from '@/server/cookies';
import { coversFor } from '@/server/cover';
import { firstStepsOf } from '@/server/first-steps';
import { FirstSteps } from '@/ui/clinic/first-steps';
import { BackupNotice } from '@/ui/clinic/backup-notice';
import { morningList } from '@/server/morning-list';
import { buttonClass } from '@/ui/primitives/button';
import { SmallLanternParts } from '@/ui/lantern/small-lantern';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { NarrowByName } from '@/ui/triage/narrow-by-name';
import { legible } from '@/app/legible';
import { Covers, Pages, Whose } from './_morning/around';
import { Group } from './_morning/groups';
import { Query, address } from './_morning/query';

/** When something was written by a clock that ran ahead. */
const AHEAD = new Intl.DateTimeFormat('en-GB', {
  dateStyle: 'medium',
  timeStyle: 'short',
  timeZone: 'UTC',
});

export const metadata: Metadata = { title: 'Morning list' };

export default legible(MorningPage);

async function MorningPage({ searchParams }: PageProps<'/'>) {
  const member = await requireMember();
  const query = Query.parse(await searchParams);
  const { narrowed, page, whose, group } = query;
  const name = narrowed ? (cookieOf(await cookies(), 'narrow') ?? '') : '';
  const list = await morningList(member, {
    search: name.trim().slice(0, 200),
    practitionerId: whose,
    group,
    page,
  });
  const mayAct = roleSuffices(member.role, 'practitioner');
  const leads = member.role === 'lead';
  const backups = leads ? backupWarning() : null;
  const [left, covers] = await Promise.all([firstStepsOf(member), coversFor(member)]);
  const ahead = leads ? await writtenAhead(member) : null;
  return (
    <>
      {ahead !== null && (
        <p className="mb-3 border-l-2 border-stop pl-2" role="status">
          The record holds entries of {AHEAD.format(ahead)} UTC, which is yet to come: the clock of
          this machine is wrong, or was. Whoever looks after the server sets it right; what was
          written meanwhile keeps its dates (see Audit).
        </p>
      )}
      <FirstSteps left={left} />
      {backups && !left.includes('backup') && (
        <div className="pb-3" role="status">
          <BackupNotice state={backups} zone={(await clinicOf(member)).zone} />
        </div>
      )}
      <div className="flex flex-wrap items-end gap-3 border-b border-hair pb-3">
        <h1 className="mr-auto text-2xl">Morning list</h1>
        <NarrowByName
          key={name}
          name={name}
          narrowed={address(query, { narrowed: '1' })}
          whole={address(query, { narrowed: null })}
        />
        {mayAct && (
          <QuietLink href="/patients/import" className={buttonClass()}>
            From elsewhere
          </QuietLink>
        )}
        {mayAct && (
          <QuietLink href="/patients/new" className={buttonClass('main')}>
            New patient
          </QuietLink>
        )}
      </div>
      <Whose list={list} query={query} />
      <Covers {...covers} memberId={member.id} query={query} />
      {list.waiting > 0 && (
        <p role="status" className="border-l-2 border-lit py-1 pl-3">
          {list.waiting} patients are still being reckoned; theirs are of before or missing.{' '}
          <QuietLink href={address(query, {})} className="text-action underline">
            Look again
          </QuietLink>
        </p>
      )}
      {list.total === 0 ? (
        <p className="py-10 text-soft">
          {name
            ? `Nobody’s name contains “${name}”.`
            : whose || group
              ? 'No patients here.'
              : 'No patients yet. Add the first with “New patient”, then write a programme as dose lines.'}
        </p>
      ) : (
        <>
          <SmallLanternParts ribs={LANTERN_DAYS} />
          {list.groups.map((one) => (
            <Group key={one.level ?? 'aside'} group={one} query={query} mayAct={mayAct} />
          ))}
        </>
      )}
      <Pages list={list} query={query} />
    </>
  );
}
