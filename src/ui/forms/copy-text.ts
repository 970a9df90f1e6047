import { toast } from '../primitives/toast';

/** Copies a text and says so; a browser that does not allow it is told in a sentence. */
export async function copyText(text: string): Promise<void> {
  try {
    await navigator.clipboard.writeText(text);
    toast('Copied.');
  } catch {
    toast.error('The browser did not allow copying; mark the text instead.');
  }
}
