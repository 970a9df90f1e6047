import { compileMessage } from '@lingui/message-utils/compileMessage';
import { DOSE_FOR_CLINICIAN } from './clinician-texts';
import type { CompiledTable } from './say';

/** What the clinic's desk says of a dose, compiled. */
export function compiledForClinician(): CompiledTable {
  return Object.fromEntries(
    Object.entries(DOSE_FOR_CLINICIAN).map(([key, text]) => [key, compileMessage(text)]),
  );
}
