import { type ListEdit, listEdits } from '../sync/edits';
import type { OwnForm } from './ownForm';

/** A form of one's own as it is kept with a program. */
export type KeptForm = { readonly id: number; readonly form: OwnForm; readonly putAway: boolean };
/** What is said anew of a kept form. */
export type FormChange = { readonly form?: OwnForm; readonly putAway?: boolean };
type Made = { readonly form: OwnForm };
/** What people do to the forms kept with a program. */
export type FormEdit = ListEdit<Made, FormChange>;

export const formEdits = listEdits<KeptForm, Made, FormChange>();
