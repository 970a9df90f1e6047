import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './server';

/** A PDF's pages as text, read by a library that had no part in writing it. */
export function readPdf(bytes: Uint8Array): { pages: readonly string[]; title: string } {
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    [join(ROOT, 'tests/support/pdf-text.mjs')],
    { input: bytes, maxBuffer: 64 * 1024 * 1024 },
  );
  if (status !== 0) throw new Error(`the PDF could not be read: ${stderr.toString()}`);
  return JSON.parse(stdout.toString()) as { pages: string[]; title: string };
}
