import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DEFAULT_SHEET } from '@/core/sheet/sheetSpec';
import { withoutOdd } from '@/core/text/oddCharacter';
import { EMPTY_PLAN } from '@/core/transfer/matchPlan';
import { closeDatabase } from '@/server/database';
import { seedDemo } from '@/server/demo/seedDemo';
import { findKeymap } from '@/server/repositories/keymaps';
import { findProgram } from '@/server/repositories/programs';
import { loadProgramView } from '@/server/useCases/editProgram';
import { deriveKeymap } from '@/server/useCases/match';
import { loadKeymapView } from '@/server/useCases/screens';
import { keepSheet, loadSheets } from '@/server/useCases/sheets';
import { exportWorkspace } from '@/server/useCases/workspaceFiles';
import { keepWorkspace, loadRoom } from '@/server/useCases/workspaces';
import { allRoutes, type Route } from '../testing/callRoute';

const folder = mkdtempSync(join(tmpdir(), 'gray-pin-'));
let routes: readonly Route[] = [];
const PROGRAM = 'tarnlight';
const KEYMAP = 'sheet-retouching';
let keymap = 0;
let other = 0;
let derived = 0;
let workspace = 0;
let sheet = 0;
let command = '';
const [SPEC, PARTS] = [DEFAULT_SHEET, ['menus', 'tools'] as const];

beforeAll(async () => {
  process.env.GRAY_PIN_DATA = folder;
  await seedDemo('demo');
  routes = await allRoutes();
  const view = await loadKeymapView(PROGRAM, KEYMAP);
  keymap = view.draft.id;
  const withKeys = new Set(view.bindings.map(([id]) => id));
  command = view.program.commands.find((one) => one.kind === 'menu item' && !withKeys.has(one.id))?.id ?? '';
  other = (await findKeymap((await findProgram(PROGRAM)).id, 'factory-keys')).id;
  derived = (await deriveKeymap(other, { name: 'Derived', owner: '', source: other, ticket: null }, EMPTY_PLAN)).id;
  workspace = (await keepWorkspace(PROGRAM, await at(), { name: 'Mine', owner: '', parts: [...PARTS] })).workspace ?? 0;
  await keepSheet(keymap, 'One page', SPEC);
  sheet = (await loadSheets(PROGRAM, KEYMAP)).sheets[0]?.id ?? 0;
}, 60_000);
afterAll(async () => {
  await closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

const at = async () => {
  const { person, revision } = (await loadRoom(PROGRAM)).state;
  return { person, revision };
};
const state = async () => (await loadKeymapView(PROGRAM, KEYMAP)).draft;
const revision = async () => ({ revision: (await state()).revision });
const upload = async () => {
  const form = new FormData();
  form.set('file', new Blob(['Command,Keys\nLift leaf,F2\nPress leaf,F3\n']), 'list.csv');
  form.set('name', `Brought ${Math.random()}`);
  return form;
};
const query = (values: Record<string, string>) => async () => new URLSearchParams(values);
const nothing = async () => ({});

/** What each route takes. */
const TAKES: Readonly<Record<string, () => Promise<object>>> = {
  'POST counterparts': async () => ({ program: PROGRAM, command, other: 'nibshore', counterpart: null }),
  'GET everything': nothing,
  'GET health': nothing,
  'GET icons': query({ find: 'brush' }),
  'PATCH keymaps/[id]': async () => ({ owner: 'Somebody' }),
  'PATCH keymaps/[id]/derivation': async () => ({ plan: EMPTY_PLAN, derived: [[command, 'F2']], theirs: [] }),
  'POST keymaps/[id]/derive': async () => ({
    name: 'Derived',
    owner: '',
    source: other,
    ticket: null,
    plan: EMPTY_PLAN,
  }),
  'POST keymaps/[id]/discard': revision,
  'POST keymaps/[id]/duplicate': async () => ({ name: 'A copy', owner: '' }),
  'POST keymaps/[id]/edits': async () => {
    const { draft, bindings } = await loadKeymapView(PROGRAM, KEYMAP);
    const before = bindings.filter(([id]) => id === command).map(([, chord]) => ({ chord }));
    const after = before.some((one) => one.chord === 'Alt+F9') ? [] : [{ chord: 'Alt+F9' }];
    return { revision: draft.revision, ticket: { title: 'A step', changes: [{ command, before, after }] } };
  },
  'GET keymaps/[id]/history': nothing,
  'POST keymaps/[id]/keep': revision,
  'POST keymaps/[id]/keep-as-new': async () => ({ ...(await revision()), name: 'Kept', owner: '' }),
  'PATCH keymaps/[id]/match': async () => ({ source: other, plan: EMPTY_PLAN }),
  'POST keymaps/[id]/sheets': async () => ({ name: 'A sheet', spec: SPEC }),
  'POST keymaps/[id]/tape': async () => ({ ...(await revision()), cursor: 0 }),
  'PATCH keymaps/[id]/ticks': async () => ({ from: other, ticks: ['a step'] }),
  'PATCH keymaps/[id]/uses': async () => ({ uses: { [command]: 12 }, all: false }),
  'GET keymaps/[id]/view': nothing,
  'PATCH keymaps/[id]/wishes': async () => ({
    wishes: [command],
    layers: [['Mod']],
    functionKeys: true,
    spendSpares: true,
    spendBelow: null,
    pins: [],
    forbids: [[command, 'F2']],
    stays: [],
  }),
  'POST programs': upload,
  'PATCH programs/[slug]': async () => ({ name: 'Tarnlight' }),
  'POST programs/[slug]/facts': async () => {
    const { revision, program } = await loadProgramView(PROGRAM);
    const { contexts, rules, commands } = program;
    return { revision, title: 'As it is', facts: { contexts, rules, commands } };
  },
  'GET programs/[slug]/file': nothing,
  'GET programs/[slug]/room': nothing,
  'POST programs/[slug]/room': async () => ({
    ...(await at()),
    title: 'Marked',
    parts: { menus: { marks: [[command, 'woad']], hidden: [] } },
  }),
  'POST programs/[slug]/room/steps': async () => ({ ...(await at()), cursor: 0 }),
  'POST programs/[slug]/undo': async () => ({ revision: (await loadProgramView(PROGRAM)).revision }),
  'POST programs/[slug]/workspaces': async () => ({ ...(await at()), name: 'New', owner: '', parts: PARTS }),
  'POST programs/[slug]/workspaces/file': async () => ({
    text: JSON.stringify((await exportWorkspace(workspace)).file),
  }),
  'POST reading': upload,
  'PATCH settings': async () => ({ lamp: 'dim', notation: 'mac' }),
  'GET sheets': query({ program: PROGRAM, keymap: KEYMAP, as: 'csv', contents: 'all' }),
  'PATCH sheets/[id]': async () => ({ name: 'Renamed', spec: SPEC, putAway: false }),
  'GET sheets/programs': query({ program: PROGRAM, keymap: KEYMAP, programs: 'nibshore/factory-keys' }),
  'PATCH workspaces/[id]': async () => ({ name: 'Mine' }),
  'POST workspaces/[id]/duplicate': async () => ({ name: 'Mine again', owner: '' }),
  'GET workspaces/[id]/file': nothing,
  'POST workspaces/[id]/keep': async () => ({ ...(await at()), parts: PARTS }),
  'POST workspaces/[id]/switch': at,
  'POST workspaces/[id]/version': async () => ({ number: 1 }),
};

/** The parts of a body that may be left out. Whatever else a body has, it needs; of a PATCH without any, one part at least. */
const MAY_LACK: Readonly<Record<string, readonly string[]>> = {
  'POST counterparts': ['counterpart'],
  'POST keymaps/[id]/derive': ['owner'],
  'POST keymaps/[id]/duplicate': ['owner'],
  'POST keymaps/[id]/keep-as-new': ['owner'],
  'PATCH keymaps/[id]/uses': ['all'],
  'PATCH settings': ['lamp', 'notation'],
  'PATCH sheets/[id]': ['name', 'spec', 'putAway'],
  'POST programs/[slug]/workspaces': ['owner'],
  'POST workspaces/[id]/duplicate': ['owner'],
};

const idFor = (name: string): number => {
  if (name.includes('workspaces/[id]')) return workspace;
  if (name.includes('sheets/[id]')) return sheet;
  return name.endsWith('derivation') ? derived : keymap;
};

const takesFile = (name: string): boolean => name === 'POST programs' || name === 'POST reading';

/** Asks a route. A body goes as it is where it is a form, in the address where it is a query, else as JSON. */
function send({ name, handler }: Route, body: unknown, id: string | number = idFor(name), slug = PROGRAM) {
  const [method = ''] = name.split(' ');
  const address = `http://127.0.0.1/api${body instanceof URLSearchParams ? `?${body}` : ''}`;
  const content = body instanceof FormData ? body : JSON.stringify(body);
  const init = method === 'GET' ? { method } : { method, body: content };
  return handler(new Request(address, init), { params: Promise.resolve({ id: String(id), slug }) });
}
const takes = (name: string) => (TAKES[name] as () => Promise<object>)();
/** Says of an answer that refuses that it is a sentence which tells what to do, and not a failure of ours. */
async function refused(name: string, response: Response): Promise<void> {
  expect(response.status, name).toBeGreaterThanOrEqual(400);
  expect(response.status, name).toBeLessThan(500);
  const { error } = (await response.json()) as { error: { message: string } };
  expect(error.message, name).toMatch(/^\S.+[.!]$/s);
}

describe('every route', () => {
  it('is told here what it takes, and takes it', async () => {
    expect(routes.map((one) => one.name).sort()).toEqual(Object.keys(TAKES).sort());
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
    const asForm = (body: unknown, name: string): unknown => (takesFile(name) ? formOf(body) : body);
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...posting), fc.jsonValue({ maxDepth: 3 }), async (route, body) => {
        const response = await send(route, asForm(body, route.name));
        // A list in JSON may be read as one of commands.
        if (takesFile(route.name) && response.ok) return;
        await refused(route.name, response);
      }),
      { numRuns: 150 },
    );
    for (const { name, handler } of posting) {
      const request = new Request('http://127.0.0.1/api', { method: 'POST', body: '{"revision": 1' });
      await refused(
        name,
        await handler(request, { params: Promise.resolve({ id: String(idFor(name)), slug: PROGRAM }) }),
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

/** Nonsense as a posted form: a file of it, or no file at all. */
function formOf(body: unknown): FormData {
  const form = new FormData();
  if (typeof body === 'string') form.set('file', body);
  else form.set('file', new Blob([JSON.stringify(body)]), 'a.json');
  form.set('roles', JSON.stringify(body));
  return form;
}
