import type { Metadata } from 'next';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { heldOf } from '@/server/erase';
import { requireFile } from '@/server/require';
import { EraseForm } from '@/ui/record/erase-form';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Erase a record' };

export default legible(ErasePage);

/** What can be taken out of a file before it goes. */
const DOCUMENTS = [
  { path: 'follow', say: 'the strips of Follow, as CSV and pictures' },
  { path: 'handout', say: 'the programme as handout, PDF and file' },
  { path: 'review', say: 'letters, as PDF' },
  { path: 'note', say: 'visit notes, to be printed' },
] as const;

async function ErasePage({ params }: PageProps<'/patients/[id]/erase'>) {
  const { member, patient } = await requireFile((await params).id);
  if (member.role !== 'lead')
    return <p>Only the clinic’s lead erases a record. Ask them, and say why.</p>;
  const held = await heldOf(patient);
  return (
    <section className="grid max-w-[75ch] gap-4">
      <h2 className="text-xl">Erase the record of this patient</h2>
      <p>
        Everything goes: from the tables, the photos, the drafts and the outbox, and out of the file
        of the database itself. It cannot be taken back. What stays is that a record was erased,
        when, by whom and for which reason, and who had looked into it; no name, no words, no
        numbers.
      </p>
      <p>
        Many places have rules for how long a health record must be kept. Look at yours first;
        nobody here knows them.
      </p>
      <div>
        <h3 className="font-semibold">This goes</h3>
        <ul className="list-disc pl-5">
          <li>name, birth date, contact, complaint</li>
          {held.map(({ what, count }) => (
            <li key={what}>
              {count} {what}
            </li>
          ))}
        </ul>
      </div>
      <div>
        <h3 className="font-semibold">Take these first, if they have to be kept</h3>
        <ul className="list-disc pl-5">
          {DOCUMENTS.map(({ path, say }) => (
            <li key={path}>
              <QuietLink
                href={`/patients/${patient.id}/${path}`}
                className="inline-block py-1 text-action underline"
              >
                {say}
              </QuietLink>
            </li>
          ))}
        </ul>
      </div>
      <p>
        Backups made until now still hold the record, locked. They are removed in their turn: the
        daily ones after a week, the weekly after four, the monthly after twelve months. A backup of
        before that is restored erases this record again, by the list of erasures beside it.
      </p>
      <EraseForm patientId={patient.id} name={patient.name} />
    </section>
  );
}
