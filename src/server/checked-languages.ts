import { createHash } from 'node:crypto';
import { ENGLISH, type Language } from '@/catalogue';
import type { LanguageCheckDraft } from '@/core/records';
import type { ClinicId } from '@/core/units';
import { type Patient, endLanguageChecks, insertLanguageCheck, languageChecksOf } from '@/db';
import type { SignedIn } from './access';
import { canonical } from './canonical';
import { allLanguages, languageFor } from './languages';
import { Problem } from './problem';
import { writeAs } from './visit/write-as';

const hashes = new WeakMap<Language, string>();

/**
 * What all texts of a language come to, with the English they were made from: a change of either makes
 * another hash, so that nobody stands for words they have not seen.
 */
export function languageHash(language: Language): string {
  const known = hashes.get(language);
  if (known) return known;
  const made = createHash('sha256')
    .update(canonical([ENGLISH.texts, language.texts, language.sayings]))
    .digest('base64url');
  hashes.set(language, made);
  return made;
}

/** Whether the clinic stands for the words a patient reads; English is its own. */
export async function isLanguageChecked(clinicId: ClinicId, language: Language): Promise<boolean> {
  if (language.tag === ENGLISH.tag) return true;
  const hash = languageHash(language);
  return (await languageChecksOf(clinicId)).some(
    (one) => one.language === language.tag && one.hash === hash,
  );
}

/** What a patient reads where it is not the clinic's language; else null. */
export async function patientReads(
  patient: Patient,
): Promise<{ readonly name: string; readonly checked: boolean } | null> {
  const language = languageFor(patient);
  if (language.tag === ENGLISH.tag) return null;
  return {
    name: language.texts['language.name'],
    checked: await isLanguageChecked(patient.clinicId, language),
  };
}

/** The name of a patient's language while nobody of the clinic stands for it; null where somebody does. */
export async function uncheckedLanguage(patient: Patient): Promise<string | null> {
  const reads = await patientReads(patient);
  return reads && !reads.checked ? reads.name : null;
}

/** A language as the clinic sees it. */
export type LanguageStanding = {
  readonly tag: string;
  readonly name: string;
  readonly hash: string;
  /** Who stands for its texts as they are; null while nobody does. */
  readonly checked: { readonly by: string; readonly at: number } | null;
  /** Somebody stood for texts that were changed since. */
  readonly changedSince: boolean;
};

export async function languagesOf(clinicId: ClinicId): Promise<readonly LanguageStanding[]> {
  const checks = await languageChecksOf(clinicId);
  return allLanguages()
    .filter(({ tag }) => tag !== ENGLISH.tag)
    .map((language) => {
      const hash = languageHash(language);
      const ofIt = checks.filter((one) => one.language === language.tag);
      const now = ofIt.find((one) => one.hash === hash);
      return {
        tag: language.tag,
        name: language.texts['language.name'],
        hash,
        checked: now ? { by: now.by, at: now.createdAt } : null,
        changedSince: !now && ofIt.length > 0,
      };
    });
}

/**
 * A practitioner stands for a language's texts.
 *
 * @throws Problem 409 where the texts are not those that were shown
 */
export async function checkLanguage(member: SignedIn, draft: LanguageCheckDraft): Promise<void> {
  const { clinicId } = member;
  const language = allLanguages().find(({ tag }) => tag === draft.language);
  if (!language || language.tag === ENGLISH.tag)
    throw new Problem(400, 'There are no texts in this language.', ['language']);
  if (languageHash(language) !== draft.hash)
    throw new Problem(409, 'Its texts have changed since this page was loaded. Load it again.');
  if (await isLanguageChecked(clinicId, language)) return;
  await writeAs(member, 'practitioner', {
    verb: 'stood for the texts of',
    subject: { kind: 'language', id: language.tag },
    statements: (at) => [
      insertLanguageCheck({
        ...draft,
        clinicId,
        memberId: member.id,
        createdAt: at,
        endedAt: null,
      }),
    ],
    isThere: () => isLanguageChecked(clinicId, language),
  });
}

/** Takes it back: the clinic's language stands beside the words again. */
export async function uncheckLanguage(member: SignedIn, language: string): Promise<void> {
  const { clinicId } = member;
  if (!(await languageChecksOf(clinicId)).some((one) => one.language === language)) return;
  await writeAs(member, 'practitioner', {
    verb: 'took back standing for the texts of',
    subject: { kind: 'language', id: language },
    statements: (at) => [endLanguageChecks(clinicId, language, at)],
  });
}
