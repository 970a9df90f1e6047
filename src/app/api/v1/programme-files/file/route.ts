import { ProgrammeFileOf } from '@/core/records';
import { programmeFile } from '@/server/desk/programme-files';
import { fileAsked } from '@/server/file-asked';

/** A ready programme, or one of the clinic's templates, as a file that another clinic can take in. */
export const GET = fileAsked({
  query: ProgrammeFileOf,
  otherwise: 'Ask for a ready programme or a template.',
  what: 'programme',
  run: async (member, asked) => {
    const file = await programmeFile(member.clinicId, asked);
    return (
      file && {
        text: file.text,
        type: 'application/json; charset=utf-8',
        name: `${file.name}.json`,
      }
    );
  },
});
