import { conceptTable } from '../../core/comparison/conceptTable';
import { pairsBetween } from '../../core/comparison/pairsBetween';
import { draftOf } from '../../core/keymap/draft';
import { EMPTY_KEYMAP, rowsOf } from '../../core/keymap/keymap';
import type { Others } from '../../core/sheet/requestOf';
import type { SheetChange } from '../../core/sheet/sheetEdits';
import { compares, MOST_PROGRAMS, type SheetSpec } from '../../core/sheet/sheetSpec';
import type { KeptSheet, SheetsView } from '../../core/sheet/sheetsView';
import { type SideBySide, sideBySide } from '../../core/sheet/sideBySide';
import type { EditMark, Versioned } from '../../core/sync/versioned';
import { distinct } from '../../core/text/distinct';
import { sheetFileQuery, sheetOptions } from '../../schemas/sheets';
import { now } from '../clock';
import { inOneMoment, ofOneMoment } from '../database';
import { loadUses } from '../repositories/advice';
import { keymapById, listKeymaps, loadBindings } from '../repositories/keymaps';
import { loadSaid } from '../repositories/match';
import { findProgram, programLabels } from '../repositories/programs';
import { insertSheet, listSheets, sheetById, updateSheet } from '../repositories/sheets';
import { writeApart } from '../sheets/writeApart';
import type { SheetFile } from '../sheets/writeSheet';
import { editInStep, versioned } from './inStep';
import { loadKeymapView } from './screens';
import { loadSettings } from './settings';
import { loadDressing } from './workspaces';

/** What a keymap and others, each as `program/keymap`, have in common. @throws Problem when one of them is not there. */
export const loadSideBySide = ofOneMoment(async function loadSideBySide(
  program: string,
  keymap: string,
  others: readonly string[],
): Promise<SideBySide> {
  const wanted = [`${program}/${keymap}`, ...others.filter((one) => one !== `${program}/${keymap}`)];
  const views = await Promise.all(
    wanted.slice(0, MOST_PROGRAMS + 1).map((one) => {
      const [slug = '', ...rest] = one.split('/');
      return loadKeymapView(slug, rest.join('/'));
    }),
  );
  const drafts = views.map(draftOf);
  const sides = views.map((view, i) => ({
    slug: view.programSlug,
    program: view.program,
    factory: rowsOf(drafts[i]?.factory ?? EMPTY_KEYMAP),
  }));
  const names = Object.fromEntries(views.map((one) => [one.programSlug, one.program.name]));
  const table = conceptTable(
    views.map((one) => one.program.commands),
    pairsBetween(sides, names, await loadSaid()),
  );
  const labels = await programLabels();
  const heads = distinct(views.map((one) => `${labels.get(one.programSlug) ?? one.program.name} · ${one.draft.name}`));
  const columns = views.map((_, i) => ({
    head: heads[i] ?? '',
    keymap: drafts[i]?.keymap ?? EMPTY_KEYMAP,
  }));
  return sideBySide(columns, table);
});

/** Everything sheets of a keymap are made of. @throws Problem when there is no such keymap. */
export const loadSheets = ofOneMoment(async function loadSheets(
  programSlug: string,
  keymapSlug: string,
): Promise<SheetsView> {
  const view = await loadKeymapView(programSlug, keymapSlug);
  const program = await findProgram(programSlug);
  const keymaps = (await listKeymaps(program.id)).filter((one) => one.putAwayAt === null);
  return {
    view,
    dressing: await loadDressing(program, view.program),
    uses: Object.fromEntries(await loadUses(program.id, view.draft.owner)),
    bases: keymaps.filter((one) => one.id !== view.draft.id).map(({ id, slug, name }) => ({ id, slug, name })),
    sheets: await versioned(keptWith(view.draft.id)),
  };
});

/** The sheets kept with a keymap, as they were made. */
const keptWith = (keymapId: number) => ({
  thing: `sheets ${keymapId}`,
  what: 'The list of kept sheets was',
  read: async (): Promise<readonly KeptSheet[]> =>
    (await listSheets(keymapId)).map(({ id, slug, name, contents, putAwayAt }) => {
      return { id, slug, name, putAway: putAwayAt !== null, spec: contents };
    }),
});

/** A sheet as a file of some kind, from the same layout as its preview. @throws Problem when the keymap does not exist. */
export async function sheetFile(
  query: Readonly<Record<string, unknown>>,
): Promise<SheetFile & { readonly bytes: Buffer<ArrayBuffer> }> {
  const { program, keymap, date, as } = sheetFileQuery(query);
  const spec = sheetOptions(query);
  const question = await inOneMoment(async () => {
    const given = await loadSheets(program, keymap);
    const { desktop, shape, size, layout } = await loadSettings();
    const others = await othersOf(given, spec);
    return { given, spec, others, keyboard: { shape, size, layout }, desktop, date, as };
  });
  const file = await writeApart(question);
  return { ...file, bytes: Buffer.from(file.bytes.buffer) };
}

/** What a sheet shows of other keymaps. */
async function othersOf({ view, bases }: SheetsView, spec: SheetSpec): Promise<Others> {
  if (spec.form === 'programs')
    return { sideBySide: await loadSideBySide(view.programSlug, view.draft.slug, spec.programs) };
  const base = compares(spec) ? bases.find((one) => one.slug === spec.base) : undefined;
  return base ? { base: { name: base.name, keymap: await loadBindings(base.id) } } : {};
}

/** Keeps a sheet with a keymap under a name. @returns all that are kept with it then. */
export function keepSheet(
  keymapId: number,
  name: string,
  spec: SheetSpec,
  mark: EditMark = {},
): Promise<Versioned<readonly KeptSheet[]>> {
  return editInStep(keptWith(keymapId), mark, async (transaction) => {
    await keymapById(keymapId, transaction);
    await insertSheet(keymapId, name, spec, transaction);
  });
}

/** Renames a sheet, changes its choices, puts it away or back. @returns all that are kept with its keymap then. */
export async function changeSheet(
  id: number,
  { name, spec, putAway }: SheetChange,
  mark: EditMark = {},
): Promise<Versioned<readonly KeptSheet[]>> {
  const { keymapId } = await sheetById(id);
  return editInStep(keptWith(keymapId), mark, (transaction) =>
    updateSheet(
      id,
      {
        ...(name === undefined ? {} : { name }),
        ...(spec === undefined ? {} : { contents: spec }),
        ...(putAway === undefined ? {} : { putAwayAt: putAway ? now() : null }),
      },
      transaction,
    ),
  );
}
