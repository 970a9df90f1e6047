import type { TestServer } from './server';

export default async function end(): Promise<void> {
  await (globalThis as { dryLanternServer?: TestServer }).dryLanternServer?.close();
}
