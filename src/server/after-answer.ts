import { after } from 'next/server';

/**
 * Does a job once the answer that is being made is on its way, so that nobody waits for the machine's share
 * in it; at once where nothing is being answered, as in a job of the background.
 */
export function afterAnswer(job: () => Promise<void>): void {
  try {
    // Not waited for: a server that ends must not wait for a job that begins again at the next look.
    after(() => void job());
  } catch {
    // The framework refuses outside of a request.
    void job();
  }
}
