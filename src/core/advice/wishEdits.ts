import type { CommandId } from '../program/program';
import { fieldEdits } from '../sync/edits';
import type { Edits } from '../sync/sync';
import type { WishList } from './wishList';

/** Some of what is wished for: fields of the list, or commands put on it or taken off. */
export type WishEdit = Partial<WishList> | { readonly commands: readonly CommandId[]; readonly on: boolean };
const wishFields = fieldEdits<WishList>();
const SPENDING = ['layers', 'functionKeys', 'spendSpares', 'spendBelow'] as const;
export const wishEdits: Edits<WishList, WishEdit> = {
  apply: (list, edit) => {
    if (!('commands' in edit)) {
      // What may be spent has changed, so that what was settled may be better now.
      const settled = SPENDING.some((field) => field in edit) ? [] : withoutRuledOut(list, edit.forbids ?? []);
      return wishFields.apply(list, { settled, ...edit });
    }
    const left = list.wishes.filter((one) => !edit.commands.includes(one));
    return { ...list, wishes: edit.on ? [...left, ...edit.commands] : left };
  },
  meets: (edit, before, now) => !('commands' in edit) && wishFields.meets(edit, before, now),
};

/** What stays settled when keys are ruled out: who was left with those is to be planned anew. */
function withoutRuledOut({ settled, forbids }: WishList, ruledOut: WishList['forbids']): WishList['settled'] {
  const known = new Set(forbids.map(String));
  const anew = new Set(ruledOut.map(String).filter((one) => !known.has(one)));
  return anew.size === 0 ? settled : settled.filter((one) => !anew.has(String(one)));
}
