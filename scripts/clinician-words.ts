import { writeFileSync } from 'node:fs';
import { compiledForClinician } from '@/catalogue/messages/compile-clinician';

/** Writes what the clinic's desk says of a dose, compiled, so that no page carries what compiles it. */
const PATH = 'src/catalogue/messages/clinician-compiled.ts';
writeFileSync(
  PATH,
  `import type { CompiledTable } from './say';

/** Written by \`npm run clinician-words\` from clinician-texts.ts. */
export const CLINICIAN_COMPILED: CompiledTable = ${JSON.stringify(compiledForClinician())};
`,
);
