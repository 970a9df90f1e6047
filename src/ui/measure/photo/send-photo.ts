import { PHOTO_LIMIT, PHOTO_TOO_LARGE } from '@/core/record-choices';
import type { PatientId } from '@/core/units';
import type { DownscaleAnswer } from '@/workers/downscale.worker';
import { type Answer, headersOf } from '../../forms/post';

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

/** Sends a photo; every refusal is a sentence, and nothing is stored then. */
export async function sendPhotoTo(
  path: string,
  file: File,
  facts: Readonly<Record<string, string>>,
): Promise<Answer<{ width: number; height: number }>> {
  const refuse = (say: string) => ({ ok: false, status: 0, say, at: [], details: {} }) as const;
  if (file.size === 0) return refuse('This photo is empty. Choose another one.');
  if (file.size > PHOTO_LIMIT) return refuse(PHOTO_TOO_LARGE);
  const small = await smaller(file);
  if (!small.ok) return refuse(small.say);
  try {
    const response = await fetch(`${path}?${new URLSearchParams(facts)}`, {
      method: 'POST',
      headers: headersOf('application/octet-stream'),
      body: small.picture,
      credentials: 'same-origin',
    });
    const answer = (await response.json()) as Answer<{ width: number; height: number }>;
    return answer.ok ? answer : { ...answer, status: response.status };
  } catch {
    return refuse('The clinic’s server cannot be reached. The photo was not sent.');
  }
}
