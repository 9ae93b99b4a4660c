import type { Where } from '../keyboard/where';
import { draftOf } from '../keymap/draft';
import { keymapOf } from '../keymap/keymap';
import type { SheetsView } from '../view/views';
import { marksOf } from '../workspace/dressing';
import type { SheetRequest } from './sheetContents';
import type { SheetSpec } from './sheetSpec';
import type { SideBySide } from './sideBySide';

/** What is wanted of a keymap as a sheet, for the preview and the files alike. */
export function requestOf(
  { view, dressing, uses, bases }: SheetsView,
  spec: SheetSpec,
  where: Where,
  sideBySide?: SideBySide,
): SheetRequest {
  const { keymap, factory } = draftOf(view);
  const base = bases.find((one) => one.slug === spec.base);
  return {
    program: view.program,
    keymapName: view.draft.name,
    keymap,
    factory,
    spec,
    where,
    ...(sideBySide ? { sideBySide } : {}),
    footer: view.draft.owner,
    marks: marksOf(dressing),
    uses: new Map(Object.entries(uses)),
    ...(base ? { base: { name: base.name, keymap: keymapOf(base.bindings) } } : {}),
  };
}
