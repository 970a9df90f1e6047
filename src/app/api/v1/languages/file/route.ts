import Papa from 'papaparse';
import { LANGUAGE_COLUMNS, languageTable } from '@/catalogue/language-table';
import { LanguageCheckEnd } from '@/core/records';
import { fileHandler } from '@/server/handler';
import { languageOf } from '@/server/languages';

/** All texts of a language as a spreadsheet, for somebody who translates or checks them. */
export const POST = fileHandler({
  who: 'practitioner',
  input: LanguageCheckEnd,
  run: async ({ input }) => {
    const language = languageOf(input.language);
    return {
      // Spreadsheets take a file without this mark for another alphabet.
      bytes: `\uFEFF${Papa.unparse(languageTable(language), {
        columns: [...LANGUAGE_COLUMNS],
        escapeFormulae: true,
        newline: '\r\n',
      })}`,
      type: 'text/csv; charset=utf-8',
      name: `texts-${language.tag}.csv`,
    };
  },
});
