/** Brings the schema up to date before the first request, and lets a new clinic in. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { closeServer, prepareServer } = await import('@/server/prepare');
  const { processWide } = await import('@/db/process-wide');
  await prepareServer();
  // Called by what ends the server (scripts/serve/ending.mjs).
  processWide<typeof closeServer>('last').value = closeServer;
  // Asked by what stands before the framework (scripts/serve/events.mjs).
  const { answerEvents } = await import('@/server/patient/events');
  processWide<typeof answerEvents>('events').value = answerEvents;
  const { startOutbox } = await import('@/server/patient/outbox');
  startOutbox();
  const { startTriage } = await import('@/server/follow/refresh');
  startTriage();
  const { startEvidence } = await import('@/server/follow/evidence');
  startEvidence();
  const { startSeals } = await import('@/server/seals');
  startSeals();
  const { startBackups } = await import('@/server/backups');
  const { backupInThread } = await import('@/backup/thread');
  startBackups(backupInThread);
}
