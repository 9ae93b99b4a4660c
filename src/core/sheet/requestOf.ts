import type { Where } from '../keyboard/where';
import { draftOf } from '../keymap/draft';
import type { Keymap } from '../keymap/keymap';
import type { CommandId } from '../program/program';
import { type Ink, marksOf } from '../workspace/dressing';
import type { SheetRequest } from './sheetRequest';
import type { SheetSpec } from './sheetSpec';
import type { SheetsView } from './sheetsView';

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

/** What a sheet shows of other keymaps, where it does. */
export type Others = Pick<SheetRequest, 'sideBySide' | 'base'>;

/** What is wanted of a keymap as a sheet, for the preview and the files alike. */
export function requestOf(
  { given: { view }, ...data }: SheetData,
  spec: SheetSpec,
  where: Where,
  others: Others,
): SheetRequest {
  return {
    ...data,
    program: view.program,
    keymapName: view.draft.name,
    spec,
    where,
    ...others,
    footer: view.draft.owner,
  };
}
