import { Font } from '@react-pdf/renderer';
import * as fontkit from 'fontkit';
import { join } from 'node:path';
import { missingLetters } from '@/core/handout';

const FOLDER = join(process.cwd(), 'node_modules/@fontsource');

/** Script subsets in the order they are tried: our own letters first, others where it has none. */
const SUBSETS = [
  ['atkinson-hyperlegible-next', 'latin'],
  ['atkinson-hyperlegible-next', 'latin-ext'],
  ['noto-sans', 'greek'],
  ['noto-sans', 'greek-ext'],
  ['noto-sans', 'cyrillic'],
  ['noto-sans', 'cyrillic-ext'],
  ['noto-sans', 'vietnamese'],
  ['noto-sans', 'latin-ext'],
] as const;
const WEIGHTS = [400, 700] as const;

const nameOf = (family: string, subset: string) => `${family}-${subset}`;
const fileOf = (family: string, subset: string, weight: number) =>
  join(FOLDER, family, 'files', `${family}-${subset}-${weight}-normal.woff`);

/** The list to write as `fontFamily`. */
export const PDF_FONTS: string[] = SUBSETS.map(([family, subset]) => nameOf(family, subset));

let registered = false;

/** Makes the fonts known to the renderer; once a process. */
export function registerPdfFonts(): void {
  if (registered) return;
  for (const [family, subset] of SUBSETS)
    Font.register({
      family: nameOf(family, subset),
      fonts: WEIGHTS.map((fontWeight) => ({ src: fileOf(family, subset, fontWeight), fontWeight })),
    });
  // Words are not broken: a patient reads "extension", not "exten-sion".
  Font.registerHyphenationCallback((word) => [word]);
  registered = true;
}

let opened: readonly fontkit.Font[] | null = null;

/** The letters of a text that no font of the PDF can draw. */
export function missingInPdf(text: string): string[] {
  opened ??= SUBSETS.map(
    ([family, subset]) => fontkit.openSync(fileOf(family, subset, 400)) as fontkit.Font,
  );
  const fonts = opened;
  return missingLetters(text, (code) => fonts.some((font) => font.hasGlyphForCodePoint(code)));
}
