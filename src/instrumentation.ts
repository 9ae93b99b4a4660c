/** Opens the database, and so migrates it, when the server starts rather than at the first request. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || process.env.NEXT_PHASE === 'phase-production-build') return;
  const { openOrSay } = await import('./server/openOrSay');
  await openOrSay();
}
