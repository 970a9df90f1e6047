import { shortDay } from '@/core/units';
import { requireFile } from '@/server/require';
import type { Metadata } from 'next';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { roleSuffices } from '@/server/access';
import { patientReads } from '@/server/checked-languages';
import { teachStep } from '@/server/visit/teaching';
import { buttonClass } from '@/ui/primitives/button';
import { UnseenPhotos } from '@/ui/teach/set-up-photos';
import { SignedTeachings } from '@/ui/teach/signed-teachings';
import { TeachDesk } from '@/ui/teach/teach-desk';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Teach' };

export default legible(TeachPage);

async function TeachPage({ params }: PageProps<'/patients/[id]/teach'>) {
  const { id } = await params;
  const { member, ...opened } = await requireFile(id);
  const { version, pages, signed, unseenPhotos, ...rest } = await teachStep(member, opened.patient);
  const reads = await patientReads(opened.patient);
  const empty = !version || pages.length === 0;
  return (
    <div className="grid gap-6">
      <div className="no-print flex flex-wrap items-center gap-2">
        <p className="mr-auto text-soft">
          {empty ? '' : `Version ${version.number}, from ${shortDay(version.effectiveFrom)}`}
        </p>
        {!empty && (
          <QuietLink href={`/patients/${id}/handout`} className={buttonClass('plain')}>
            Handout
          </QuietLink>
        )}
        <QuietLink href={`/patients/${id}/note`} className={buttonClass('plain')}>
          Visit note
        </QuietLink>
      </div>
      {reads && (
        <p className="border-l-2 border-lit pl-3">
          This patient reads <bdi>{reads.name}</bdi>. Fixes of the catalogue are said in it; what
          you write yourself is shown as you write it: write it in that language, or ask somebody to
          translate it.
        </p>
      )}
      {empty ? (
        <p>
          There is no programme to teach yet.{' '}
          <QuietLink href={`/patients/${id}/plan`} className="text-action underline">
            Write one on the Plan desk.
          </QuietLink>
        </p>
      ) : (
        <TeachDesk
          {...rest}
          // A new version begins the sheet anew; what was ticked is kept by line.
          key={version.number}
          patientId={id}
          version={version}
          pages={pages}
          mayTeach={roleSuffices(member.role, 'practitioner')}
        />
      )}
      {roleSuffices(member.role, 'practitioner') && (
        <UnseenPhotos patientId={id} photos={unseenPhotos} consented={rest.photosConsented} />
      )}
      <SignedTeachings signed={signed} />
    </div>
  );
}
