import { anyClinic } from '@/db';
import { logFailure } from './problem';

/** Whether the record can be read just now. */
export async function recordAnswers(): Promise<boolean> {
  try {
    await anyClinic();
    return true;
  } catch (error) {
    logFailure('ready', error);
    return false;
  }
}
