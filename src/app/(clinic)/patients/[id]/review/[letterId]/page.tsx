import { requireMember } from '@/server/require';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { clinicTexts } from '@/core/review';
import { isLanguageChecked } from '@/server/checked-languages';
import { letterById } from '@/server/follow/letter';
import { languageOf } from '@/server/languages';
import { openPatient } from '@/server/open-patient';
import { LetterFile } from '@/ui/follow/letter-file';
import { LetterSheet } from '@/ui/follow/letter-sheet';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Letter' };

export default legible(OutcomeLetterPage);

async function OutcomeLetterPage({ params }: PageProps<'/patients/[id]/review/[letterId]'>) {
  const member = await requireMember();
  const { id, letterId } = await params;
  const opened = await openPatient(member, id);
  const found = opened && (await letterById(opened.patient, letterId));
  if (!found) notFound();
  const { letter } = found;
  const { own } = letter;
  const language = own && languageOf(own.language);
  const checked = !language || (await isLanguageChecked(member.clinicId, language));
  return (
    <div className="grid gap-6">
      <LetterFile
        patientId={id}
        id={letterId}
        own={language ? { tag: language.tag, name: language.texts['language.name'] } : null}
      />
      {own && (
        <p className="no-print max-w-prose">
          The patient’s own letter comes first, the clinic’s below it. What was typed stands in both
          as it was typed.
          {!checked &&
            ' This language was drafted, and nobody at your clinic has stood for it yet.'}
        </p>
      )}
      {own && <LetterSheet letter={letter} texts={own} />}
      <LetterSheet letter={letter} texts={clinicTexts(letter)} />
    </div>
  );
}
