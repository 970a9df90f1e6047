import { and, desc, eq, isNull } from 'drizzle-orm';
import type { Instant } from '@/core/schedule';
import type { ClinicId } from '@/core/units';
import { LIST_BOUNDS } from './bounds';
import { type Statement, builder, read } from './door';
import { languageCheck, member } from './schema';

export function insertLanguageCheck(row: typeof languageCheck.$inferInsert): Statement {
  return builder().insert(languageCheck).values(row);
}

/** Takes back that a language was checked, whatever its texts were. */
export function endLanguageChecks(clinicId: ClinicId, language: string, at: Instant): Statement {
  return builder()
    .update(languageCheck)
    .set({ endedAt: at })
    .where(
      and(
        eq(languageCheck.clinicId, clinicId),
        eq(languageCheck.language, language),
        isNull(languageCheck.endedAt),
      ),
    );
}

/** The checks of a clinic that stand, newest first, each with the name of who made it. */
export function languageChecksOf(clinicId: ClinicId) {
  return read((db) =>
    db
      .select({
        language: languageCheck.language,
        hash: languageCheck.hash,
        createdAt: languageCheck.createdAt,
        by: member.name,
      })
      .from(languageCheck)
      .innerJoin(
        member,
        and(eq(member.clinicId, languageCheck.clinicId), eq(member.id, languageCheck.memberId)),
      )
      .where(and(eq(languageCheck.clinicId, clinicId), isNull(languageCheck.endedAt)))
      .orderBy(desc(languageCheck.createdAt))
      .limit(LIST_BOUNDS.languageChecks),
  );
}
