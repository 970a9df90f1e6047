import { requireFile } from '@/server/require';
import type { Metadata } from 'next';
import { roleSuffices } from '@/server/access';
import { noteStep } from '@/server/visit/note';
import { NoteForm } from '@/ui/teach/note-form';
import { SignedNotes } from '@/ui/teach/signed-notes';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Visit note' };

export default legible(NotePage);

async function NotePage({ params }: PageProps<'/patients/[id]/note'>) {
  const { id } = await params;
  const { member, ...opened } = await requireFile(id);
  const { draft, kept, signed } = await noteStep(member, opened.patient, opened.complaint);
  return (
    <div className="grid gap-8">
      <NoteForm
        key={signed.length}
        patientId={id}
        draft={draft}
        kept={kept}
        maySign={roleSuffices(member.role, 'practitioner')}
      />
      <SignedNotes signed={signed} />
    </div>
  );
}
