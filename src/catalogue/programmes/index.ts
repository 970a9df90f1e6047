import type { ReadyProgramme } from '@/core/ready';
import { BODY_PROGRAMMES } from './body';
import { NECK_PROGRAMMES } from './neck';

/** Every programme that ships with the application. */
export const READY_PROGRAMMES: readonly ReadyProgramme[] = [...NECK_PROGRAMMES, ...BODY_PROGRAMMES];
