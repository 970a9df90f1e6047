import { PHOTO_LIMIT, PHOTO_TOO_LARGE } from '@/core/record-choices';
import type { PatientId } from '@/core/units';
import type { DownscaleAnswer } from '@/workers/downscale.worker';
import { type Answer, postBytes } from '../../forms/post';

/** The photo made small in a worker; itself where the browser has none of what that takes. */
function smaller(file: File): Promise<DownscaleAnswer> {
  if (typeof OffscreenCanvas === 'undefined') return Promise.resolve({ ok: true, picture: file });
  return new Promise((resolve) => {
    const worker = new Worker(new URL('../../../workers/downscale.worker.ts', import.meta.url), {
      type: 'module',
    });
    const end = (answer: DownscaleAnswer) => {
      worker.terminate();
      resolve(answer);
    };
    worker.onmessage = (event: MessageEvent<DownscaleAnswer>) => end(event.data);
    worker.onerror = () => end({ ok: true, picture: file });
    worker.postMessage(file);
  });
}

/** Sends a side photo of a patient, taken at the clinic. */
export function sendPhoto(
  file: File,
  facts: { readonly id: string; readonly patientId: PatientId; readonly takenOn: string },
): Promise<Answer<{ width: number; height: number }>> {
  return sendPhotoTo('/api/v1/photos', file, facts);
}

/** What is said of a photo that is not sent at all. */
type PhotoWords = {
  readonly empty: string;
  readonly tooLarge: string;
  readonly unreadable?: string;
};

const CLINIC_WORDS: PhotoWords = {
  empty: 'This photo is empty. Choose another one.',
  tooLarge: PHOTO_TOO_LARGE,
};

/**
 * Sends a photo; every refusal is a sentence, and nothing is stored then.
 *
 * @param words in the language of the page; without its own, what the browser could not do is said
 */
export async function sendPhotoTo(
  path: string,
  file: File,
  facts: Readonly<Record<string, string>>,
  words: PhotoWords = CLINIC_WORDS,
): Promise<Answer<{ width: number; height: number }>> {
  const refuse = (say: string) => ({ ok: false, status: 0, say, at: [], details: {} }) as const;
  if (file.size === 0) return refuse(words.empty);
  if (file.size > PHOTO_LIMIT) return refuse(words.tooLarge);
  const small = await smaller(file);
  if (!small.ok) return refuse(words.unreadable ?? small.say);
  return postBytes(`${path}?${new URLSearchParams(facts)}`, small.picture);
}
