import type { Where } from '../keyboard/where';
import { draftOf } from '../keymap/draft';
import { type Keymap, keymapOf } from '../keymap/keymap';
import type { CommandId } from '../program/program';
import type { SheetsView } from '../view/views';
import { type Ink, marksOf } from '../workspace/dressing';
import type { SheetRequest } from './sheetContents';
import type { SheetSpec } from './sheetSpec';
import type { SideBySide } from './sideBySide';

/** What sheets are made of, whatever is chosen of them. */
export type SheetData = {
  readonly given: SheetsView;
  readonly keymap: Keymap;
  readonly factory: Keymap;
  readonly marks: ReadonlyMap<CommandId, Ink>;
  readonly uses: ReadonlyMap<CommandId, number>;
};

export function sheetDataOf(given: SheetsView): SheetData {
  const { keymap, factory } = draftOf(given.view);
  return { given, keymap, factory, marks: marksOf(given.dressing), uses: new Map(Object.entries(given.uses)) };
}

/** What is wanted of a keymap as a sheet, for the preview and the files alike. */
export function requestOf(
  { given: { view, bases }, ...data }: SheetData,
  spec: SheetSpec,
  where: Where,
  sideBySide?: SideBySide,
): SheetRequest {
  const base = bases.find((one) => one.slug === spec.base);
  return {
    ...data,
    program: view.program,
    keymapName: view.draft.name,
    spec,
    where,
    ...(sideBySide ? { sideBySide } : {}),
    footer: view.draft.owner,
    ...(base ? { base: { name: base.name, keymap: keymapOf(base.bindings) } } : {}),
  };
}
