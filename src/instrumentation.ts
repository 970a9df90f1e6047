/** Brings the schema up to date before the first request, and lets a new clinic in. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { prepareServer } = await import('@/server/prepare');
  await prepareServer();
  const { startOutbox } = await import('@/server/patient/outbox');
  startOutbox();
  const { startTriage } = await import('@/server/follow/refresh');
  startTriage();
}
