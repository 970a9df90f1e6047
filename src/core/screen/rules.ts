import { BLOCKING_RULES } from './blocking-rules';
import { PRECAUTION_RULES } from './precaution-rules';
import type { ScreeningRule } from './rule';

/** Every rule of the screening. */
export const RULES: readonly ScreeningRule[] = [...BLOCKING_RULES, ...PRECAUTION_RULES];
