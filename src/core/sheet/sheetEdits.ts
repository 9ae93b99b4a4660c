import { sameData } from '../sync/edits';
import type { Edits } from '../sync/sync';
import type { SheetSpec } from './sheetSpec';
import type { KeptSheet } from './sheetsView';

/** What is said anew of a kept sheet. */
export type SheetChange = { readonly name?: string; readonly spec?: SheetSpec; readonly putAway?: boolean };
/** What people do to the sheets kept with a keymap. */
export type SheetEdit =
  | { readonly kind: 'keep'; readonly name: string; readonly spec: SheetSpec }
  | { readonly kind: 'change'; readonly id: number; readonly change: SheetChange };

/** How edits change the sheets kept with a keymap. A new one has a number and an address once the server says them. */
export const sheetEdits: Edits<readonly KeptSheet[], SheetEdit> = {
  apply: (sheets, edit) =>
    edit.kind === 'keep' ? sheets : sheets.map((one) => (one.id === edit.id ? { ...one, ...edit.change } : one)),
  meets: (edit, before, now) => {
    if (edit.kind === 'keep') return false;
    const [was, is] = [before, now].map((sheets) => sheets.find((one) => one.id === edit.id));
    return (Object.keys(edit.change) as (keyof SheetChange)[]).some((field) => !sameData(was?.[field], is?.[field]));
  },
};
