import { patientWorker } from '@/workers/patient-worker';

/** The patient's service worker, as its own text. */
export function GET(): Response {
  return new Response(`(${patientWorker.toString()})(self);`, {
    headers: {
      'Content-Type': 'text/javascript; charset=utf-8',
      'Cache-Control': 'no-cache',
      'Service-Worker-Allowed': '/today',
    },
  });
}
