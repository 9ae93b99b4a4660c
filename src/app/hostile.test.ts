import { beforeAll, describe, expect, it } from 'vitest';
import { Problem } from '@/schemas/problem';
import { databaseFile } from '@/server/dataFolder';
import { understand } from '@/server/reading/understand';
import { openPlainFile } from '@/server/stored/plainFile';
import { onDemoDatabase } from '@/server/testing/onDemoDatabase';
import { allRoutes, askRoute, type Route, takesFile } from './testing/callRoute';
import { hostileFile, hostileRequest, randomFrom } from './testing/hostile';
import { prepareTakes, type Takes } from './testing/prepareTakes';

onDemoDatabase();
let routes: readonly Route[] = [];
let all: Takes = { takes: {}, idFor: () => 0 };
beforeAll(async () => {
  routes = await allRoutes();
  all = await prepareTakes();
}, 60_000);

/** A sample of what `npm run hostile` asks a running server 100,000 times. */
describe('what means no good', () => {
  it('is never failed at by any route, and what is refused writes nothing', async () => {
    // Files go to a thread each, which the other test of readers need not.
    const asked = routes.filter((one) => !takesFile(one.name) && one.name !== 'GET everything');
    const names = asked.map((one) => one.name);
    const random = randomFrom(14);
    const stored = await openPlainFile(databaseFile(), 'to read');
    const version = async () => (await stored.all<{ data_version: number }>('PRAGMA data_version'))[0]?.data_version;
    const counts = { taken: 0, refused: 0 };
    for (let i = 0; i < 900; i++) {
      const { name, id, slug, body } = await hostileRequest(random, names, all);
      const route = asked.find((one) => one.name === name) as Route;
      const before = await version();
      const answer = await askRoute(route, body, { id, slug });
      const said = `${i}: ${name} ${id} ${slug} ${String(body).slice(0, 300)}`;
      expect([said, answer.status < 500]).toEqual([said, true]);
      if (answer.ok) {
        counts.taken++;
        continue;
      }
      counts.refused++;
      expect([said, await version()]).toEqual([said, before]);
      const { error } = (await answer.json()) as { error: { message: string } };
      expect(error.message, said).toMatch(/^\S.+[.!]$/s);
    }
    expect(Math.min(counts.taken, counts.refused)).toBeGreaterThan(100);
    await stored.close();
  }, 120_000);

  it('is read or refused in a sentence by every reader', () => {
    const random = randomFrom(15);
    const counts = { read: 0, refused: 0 };
    for (let i = 0; i < 1000; i++) {
      const bytes = hostileFile(random, 20_000);
      try {
        understand(bytes);
        counts.read++;
      } catch (error) {
        expect(error, `${i}: ${Buffer.from(bytes).toString('utf8').slice(0, 300)}`).toBeInstanceOf(Problem);
        expect((error as Problem).message).toMatch(/^\S.+[.!]$/s);
        counts.refused++;
      }
    }
    expect(Math.min(counts.read, counts.refused)).toBeGreaterThan(100);
  }, 120_000);
});
