import { readFileSync } from 'node:fs';
import { EXAMPLES, type OwnForm } from '@/core/ownForm/ownForm';
import { DEFAULT_SHEET } from '@/core/sheet/sheetSpec';
import { EMPTY_PLAN } from '@/core/transfer/matchPlan';
import { inTransaction } from '@/server/database';
import { findKeymap, keymapById } from '@/server/repositories/keymaps';
import { findProgram } from '@/server/repositories/programs';
import { insertSuccession } from '@/server/repositories/successions';
import { bringInUpload } from '@/server/useCases/bringIn';
import { loadProgramView } from '@/server/useCases/editProgram';
import { everythingAsFile } from '@/server/useCases/everything';
import { deriveKeymap } from '@/server/useCases/match';
import { keepForm } from '@/server/useCases/ownForms';
import { packScreen } from '@/server/useCases/packScreen';
import { loadKeymapView } from '@/server/useCases/screens';
import { keepSheet, loadSheets } from '@/server/useCases/sheets';
import { lookAtEverything } from '@/server/useCases/takeIn';
import { exportWorkspace } from '@/server/useCases/workspaceFiles';
import { keepWorkspace, loadRoom } from '@/server/useCases/workspaces';
import { filesOfKeymap } from '@/server/useCases/writeBack';

/** The program and keymap of the demo that requests are made about, and how a sheet is chosen. */
export const PROGRAM = 'tarnlight';
export const KEYMAP = 'sheet-retouching';
export const SPEC = DEFAULT_SHEET;
const PARTS = ['menus', 'tools'] as const;
const LIST = {
  bytes: new TextEncoder().encode(
    'Menu,Command,Keys\nLift,Lift stain,Alt+A\nLift,Dust sweep,\nLift,Lift mold,Ctrl+R\n',
  ),
  choices: null,
  corrections: {},
  name: '',
  fileName: 'list.csv',
  asker: { window: '', gone: new AbortController().signal },
};

/** What every route takes, on the demo's data. */
export type Takes = {
  /** What it takes just now, by its name such as `POST keymaps/[id]/edits`: a body, a form or a query. */
  readonly takes: Readonly<Record<string, () => Promise<object>>>;
  /** The number in its address. */
  readonly idFor: (name: string) => number;
};

/** Makes on the demo's data what requests need: a derived keymap, a workspace, a sheet. @returns what each route takes. */
export async function prepareTakes(): Promise<Takes> {
  const view = await loadKeymapView(PROGRAM, KEYMAP);
  const keymap = view.draft.id;
  const withKeys = new Set(view.bindings.map(([id]) => id));
  const command = view.program.commands.find((one) => one.kind === 'menu item' && !withKeys.has(one.id))?.id ?? '';
  const other = (await findKeymap((await findProgram(PROGRAM)).id, 'factory-keys')).id;
  const derived = (await deriveKeymap(other, { name: 'Derived', owner: '', source: other, ticket: null }, EMPTY_PLAN))
    .id;
  const own = { name: 'Mine', owner: '', parts: [...PARTS] };
  const workspace = (await keepWorkspace(PROGRAM, await at(), own)).workspace ?? 0;
  await keepSheet(keymap, 'One page', SPEC);
  const sheet = (await loadSheets(PROGRAM, KEYMAP)).sheets.value[0]?.id ?? 0;
  const form = (await keepForm(PROGRAM, EXAMPLES[0] as OwnForm)).value[0]?.id ?? 0;
  const source = (await filesOfKeymap(keymap)).spelling?.file ?? 0;
  const { versionId } = await keymapById(keymap);
  // A version that came from the program, and one that it came from.
  const next = await bringInUpload({ ...LIST, follows: PROGRAM, version: '5.0' });
  const [here, origin] = [await findProgram(PROGRAM), await findProgram('quillmoor')];
  await inTransaction((transaction) => insertSuccession(here.id, origin.id, transaction));
  const [address = ''] = packScreen({ view: await loadKeymapView(PROGRAM, KEYMAP) }).apart;
  const mark = new URL(address, 'http://127.0.0.1').searchParams.get('mark') ?? '';
  const takes = {
    'POST counterparts': async () => ({ program: PROGRAM, command, other: 'nibshore', counterpart: null }),
    'GET everything': nothing,
    'POST everything/look': everything,
    'POST everything/take': async () => {
      const form = await everything();
      const { mark: shown } = await lookAtEverything(form.get('file') as File, WISHES);
      form.set('wishes', JSON.stringify({ ...WISHES, shown }));
      return form;
    },
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
    'GET keymaps/[id]/tape': nothing,
    'POST keymaps/[id]/keep': revision,
    'POST keymaps/[id]/keep-as-new': async () => ({ ...(await revision()), name: 'Kept', owner: '' }),
    'PATCH keymaps/[id]/answers': async () => ({ to: next, answers: [[command, { take: 'theirs' }]] }),
    'POST keymaps/[id]/move': async () => ({ to: next, ticket: null, links: [] }),
    'PATCH programs/[slug]/succession': async () => ({ said: [{ before: 'lift-stain', after: null }] }),
    'PATCH keymaps/[id]/match': async () => ({ source: other, plan: EMPTY_PLAN }),
    'POST keymaps/[id]/sheets': async () => ({ name: 'A sheet', spec: SPEC }),
    'POST keymaps/[id]/tape': async () => ({ ...(await revision()), cursor: 0 }),
    'PATCH keymaps/[id]/ticks': async () => ({ from: other, ticks: ['a step'] }),
    'PATCH keymaps/[id]/chosen': async () => ({ words: 'blur', command }),
    'PATCH keymaps/[id]/uses': async () => ({ uses: { [command]: 12 }, all: false }),
    'GET keymaps/[id]/bindings': nothing,
    'GET keymaps/[id]/view': nothing,
    'GET keymaps/[id]/write-back': nothing,
    'PATCH source-files/[id]/said': async () => ({ PageUp: 'page_up' }),
    'GET keymaps/[id]/write-back/file': nothing,
    'PATCH keymaps/[id]/wishes': async () => ({
      wishes: [command],
      layers: [['Mod']],
      functionKeys: true,
      spendSpares: true,
      spendBelow: null,
      pins: [],
      forbids: [[command, 'F2']],
      stays: [],
      settled: [[command, null]],
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
    'POST programs/[slug]/own-forms': async () => ({ ...EXAMPLES[0] }),
    'PATCH own-forms/[id]': async () => ({ form: { ...EXAMPLES[1] }, putAway: false }),
    'POST programs/[slug]/source-files': async () => {
      const form = new FormData();
      form.set('file', new Blob(['[lift]\nlift_stain = f2\ndust_sweep = f3\n']), 'keys.conf');
      return form;
    },
    'POST programs/[slug]/undo': async () => ({ revision: (await loadProgramView(PROGRAM)).revision }),
    'POST programs/[slug]/workspaces': async () => ({ ...(await at()), name: 'New', owner: '', parts: PARTS }),
    'POST programs/[slug]/workspaces/file': async () => ({
      text: JSON.stringify((await exportWorkspace(workspace)).file),
    }),
    'POST reading': upload,
    'POST reading/lines': upload,
    'POST reading/pack': async () => ({ text: readFileSync('demo/packs/five-good-ones.json', 'utf8') }),
    'PATCH settings': async () => ({ lamp: 'dim', notation: 'mac' }),
    'GET sheets': query({ program: PROGRAM, keymap: KEYMAP, as: 'csv', contents: 'all' }),
    'PATCH sheets/[id]': async () => ({ name: 'Renamed', spec: SPEC, putAway: false }),
    'GET sheets/programs': query({ program: PROGRAM, keymap: KEYMAP, programs: 'nibshore/factory-keys' }),
    'PATCH workspaces/[id]': async () => ({ name: 'Mine' }),
    'POST workspaces/[id]/duplicate': async () => ({ name: 'Mine again', owner: '' }),
    'GET versions/[id]/commands': async () => new URLSearchParams({ mark }),
    'GET workspaces/[id]/file': nothing,
    'POST workspaces/[id]/keep': async () => ({ ...(await at()), parts: PARTS }),
    'POST workspaces/[id]/switch': at,
    'POST workspaces/[id]/version': async () => ({ number: 1 }),
  };
  const idFor = (name: string): number => {
    if (name.includes('versions/[id]')) return versionId;
    if (name.includes('workspaces/[id]')) return workspace;
    if (name.includes('sheets/[id]')) return sheet;
    if (name.includes('own-forms/[id]')) return form;
    if (name.includes('source-files/[id]')) return source;
    return name.endsWith('derivation') ? derived : keymap;
  };
  return { takes, idFor };
}

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
const WISHES = { label: 'laptop', goOn: [], apart: [] };
const everything = async () => {
  const form = new FormData();
  form.set('file', new Blob([await everythingAsFile()]), 'everything.sqlite');
  form.set('wishes', JSON.stringify(WISHES));
  return form;
};
const query = (values: Record<string, string>) => async () => new URLSearchParams(values);
const nothing = async () => ({});
