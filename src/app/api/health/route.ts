import { database } from '@/server/database';
import { respond } from '@/server/respond';

/** Answers once the database is open; the start script waits for it. */
export function GET(): Promise<Response> {
  return respond(async () => {
    await (await database()).authenticate();
    return { ready: true };
  });
}
export const dynamic = 'force-dynamic';
