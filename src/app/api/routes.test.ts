import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { withoutOdd } from '@/core/text/oddCharacter';
import { onDemoDatabase } from '@/server/testing/onDemoDatabase';
import { allRoutes, askRoute, type Route, takesFile } from '../testing/callRoute';
import { KEYMAP, PROGRAM, prepareTakes, SPEC, type Takes } from '../testing/prepareTakes';

onDemoDatabase();
let routes: readonly Route[] = [];
let all: Takes = { takes: {}, idFor: () => 0 };
beforeAll(async () => {
  routes = await allRoutes();
  all = await prepareTakes();
}, 60_000);

/** The parts of a body that may be left out. Whatever else a body has, it needs; of a PATCH without any, one part at least. */
const MAY_LACK: Readonly<Record<string, readonly string[]>> = {
  'POST counterparts': ['counterpart'],
  'POST keymaps/[id]/derive': ['owner'],
  'POST keymaps/[id]/duplicate': ['owner'],
  'POST keymaps/[id]/keep-as-new': ['owner'],
  'PATCH keymaps/[id]/uses': ['all'],
  'PATCH settings': ['lamp', 'notation'],
  'PATCH own-forms/[id]': ['form', 'putAway'],
  'PATCH source-files/[id]/said': ['PageUp'],
  'PATCH sheets/[id]': ['name', 'spec', 'putAway'],
  'POST programs/[slug]/workspaces': ['owner'],
  'POST workspaces/[id]/duplicate': ['owner'],
};

const send = (route: Route, body: unknown, id: string | number = all.idFor(route.name), slug = PROGRAM) =>
  askRoute(route, body, { id: String(id), slug });
const takes = (name: string) => (all.takes[name] as () => Promise<object>)();
/** Says of an answer that refuses that it is a sentence which tells what to do, and not a failure of ours. */
async function refused(name: string, response: Response): Promise<void> {
  expect(response.status, name).toBeGreaterThanOrEqual(400);
  expect(response.status, name).toBeLessThan(500);
  const { error } = (await response.json()) as { error: { message: string } };
  expect(error.message, name).toMatch(/^\S.+[.!]$/s);
}

describe('every route', () => {
  it('is told here what it takes, and takes it', async () => {
    expect(routes.map((one) => one.name).sort()).toEqual(Object.keys(all.takes).sort());
    for (const route of routes) {
      const response = await send(route, await takes(route.name));
      // There may be no step to take back, which is said.
      if (route.name === 'POST programs/[slug]/undo' && response.status === 409) continue;
      expect(response.status, `${route.name}: ${await response.clone().text()}`.slice(0, 300)).toBe(200);
    }
  }, 60_000);

  it('says that what its address names is not there', async () => {
    for (const route of routes.filter((one) => one.name.includes('['))) {
      const body = await takes(route.name);
      for (const none of route.name.includes('[id]') ? ['987654', '0', 'x', '1e99', ''] : [1]) {
        const response = await send(route, body, none, 'no-such-program');
        expect(response.status, `${route.name} ${none}`).toBe(404);
        await refused(route.name, response);
      }
    }
  }, 60_000);

  it('refuses nonsense with a sentence, and never fails at it', async () => {
    const posting = routes.filter((one) => !one.name.startsWith('GET'));
    const asForm = (body: unknown, name: string) => (takesFile(name) ? formOf(body) : JSON.stringify(body));
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...posting), fc.jsonValue({ maxDepth: 3 }), async (route, body) => {
        const response = await send(route, asForm(body, route.name));
        if (response.ok && mayBeMeant(route.name, body)) return;
        await refused(route.name, response);
      }),
      { numRuns: 150 },
    );
    for (const { name, handler } of posting) {
      const request = new Request('http://127.0.0.1/api', { method: 'POST', body: '{"revision": 1' });
      await refused(
        name,
        await handler(request, { params: Promise.resolve({ id: String(all.idFor(name)), slug: PROGRAM }) }),
      );
    }
  }, 60_000);

  it('takes nothing it does not know, and does without no part it needs', async () => {
    const withBody = routes.filter(({ name }) => !name.startsWith('GET') && !takesFile(name));
    const junk = fc.oneof(
      fc.jsonValue({ maxDepth: 2 }),
      fc.string({ minLength: 5_000, maxLength: 5_000 }),
      fc.constant(-1),
    );
    for (const route of withBody) {
      const body = await takes(route.name);
      await refused(route.name, await send(route, { ...body, surprise: true }));
      for (const field of Object.keys(body)) {
        const { [field]: _, ...rest } = (await takes(route.name)) as Record<string, unknown>;
        const without = await send(route, rest);
        if (MAY_LACK[route.name]?.includes(field))
          expect([route.name, field, without.status]).toEqual([route.name, field, 200]);
        else await refused(`${route.name} without ${field}`, without);
        for (const value of fc.sample(junk, { numRuns: 4, seed: field.length })) {
          const changed = await send(route, { ...rest, [field]: value });
          if (!changed.ok) await refused(`${route.name} with ${field} ${JSON.stringify(value)}`.slice(0, 200), changed);
        }
      }
    }
  }, 120_000);

  it('falls back to the usual for what an address says wrongly, and refuses a file of no kind', async () => {
    const route = routes.find((one) => one.name === 'GET sheets') as Route;
    const address = { program: PROGRAM, keymap: KEYMAP, as: 'svg' };
    const written = async (more: object): Promise<string> => {
      const response = await send(route, new URLSearchParams({ ...address, ...more }));
      expect(response.status, JSON.stringify(more)).toBe(200);
      return response.text();
    };
    const usual = await written({});
    // A picture tells of every choice.
    for (const other of [
      { form: 'poster' },
      { paper: 'Letter' },
      { order: 'key' },
      { notation: 'mac' },
      { keyless: 'true' },
    ])
      expect(await written(other), JSON.stringify(other)).not.toBe(usual);
    const junk = fc
      .oneof(
        fc.string(),
        fc.jsonValue().map((one) => JSON.stringify(one)),
      )
      .map((one) => `~${withoutOdd(one)}`);
    for (const [i, name] of Object.keys(SPEC).entries())
      for (const value of fc.sample(junk, { numRuns: 2, seed: i }))
        expect(await written({ [name]: value }), name).toBe(usual);
    await refused('GET sheets', await send(route, new URLSearchParams({ ...address, paper: 'A4\u0000' })));
    await refused('GET sheets', await send(route, new URLSearchParams({ ...address, as: 'exe' })));
    await refused('GET sheets', await send(route, new URLSearchParams({ ...address, keymap: 'none' })));
  }, 60_000);
});

/** Whether what is made up may be meant: a list in JSON may be read as one of commands, and any words may be said, or none any more. */
function mayBeMeant(name: string, body: unknown): boolean {
  if (takesFile(name)) return true;
  const isMap = typeof body === 'object' && body !== null && !Array.isArray(body);
  return (
    name === 'PATCH source-files/[id]/said' && isMap && Object.values(body).every((one) => typeof one === 'string')
  );
}

/** Nonsense as a posted form: a file of it, or no file at all. */
function formOf(body: unknown): FormData {
  const form = new FormData();
  if (typeof body === 'string') form.set('file', body);
  else form.set('file', new Blob([JSON.stringify(body)]), 'a.json');
  form.set('roles', JSON.stringify(body));
  return form;
}
