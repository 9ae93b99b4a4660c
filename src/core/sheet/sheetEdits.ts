import { type ListEdit, listEdits } from '../sync/edits';
import type { SheetSpec } from './sheetSpec';
import type { KeptSheet } from './sheetsView';

/** What is said anew of a kept sheet. */
export type SheetChange = { readonly name?: string; readonly spec?: SheetSpec; readonly putAway?: boolean };
type Made = { readonly name: string; readonly spec: SheetSpec };
/** What people do to the sheets kept with a keymap. */
export type SheetEdit = ListEdit<Made, SheetChange>;

/** How edits change the sheets kept with a keymap; a new one has an address once the server says it. */
export const sheetEdits = listEdits<KeptSheet, Made, SheetChange>();
