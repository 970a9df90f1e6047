import { unreachableWords } from './post';

/** Lets the browser save what the page made itself. */
export function saveBlob(blob: Blob, name: string): void {
  const address = URL.createObjectURL(blob);
  const anchor = document.createElement('a');
  anchor.href = address;
  anchor.download = name;
  anchor.click();
  URL.revokeObjectURL(address);
}

/**
 * Asks for a file by POST and lets the browser save it.
 *
 * @param signal lets it be; then nothing is said
 * @returns an empty string, or why it could not be made
 */
export async function saveFile(
  path: string,
  order: unknown,
  name: string,
  signal?: AbortSignal,
): Promise<string> {
  try {
    const response = await fetch(path, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(order),
      credentials: 'same-origin',
      ...(signal ? { signal } : {}),
    });
    if (!response.ok) return ((await response.json()) as { say: string }).say;
    saveBlob(await response.blob(), name);
    return '';
  } catch {
    if (signal?.aborted) return '';
    return unreachableWords('The clinic’s server cannot be reached. Nothing was made; try again.');
  }
}
