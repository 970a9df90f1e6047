import { Worker } from 'node:worker_threads';

/** The most a sheet may take; 60 exercises take a third of it. */
const MOST_MEGABYTES = 768;

/** A thread that draws sheets. */
export function pdfThread(): Worker {
  return new Worker(new URL('./pdf.worker.ts', import.meta.url), {
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
  });
}
