/** Opens the database, and so migrates it, when the server starts rather than at the first request; keeps a copy a day. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || process.env.NEXT_PHASE === 'phase-production-build') return;
  const { database } = await import('./server/database');
  await database();
  const { keepDaily } = await import('./server/backup/keepDaily');
  keepDaily();
}
