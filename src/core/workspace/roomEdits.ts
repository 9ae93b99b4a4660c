import { sameData } from '../sync/edits';
import type { Edits } from '../sync/sync';
import { applyWorkspace, type Part, partsOf, stepTo, type Workspace } from './room';
import type { RoomView } from './roomView';

/** What people do to a room. */
export type RoomEdit =
  | { readonly kind: 'step'; readonly title: string; readonly parts: Workspace }
  /** Back or forth to where so many steps are applied. */
  | { readonly kind: 'move'; readonly cursor: number }
  | { readonly kind: 'switch'; readonly workspace: number }
  | { readonly kind: 'keep'; readonly name: string; readonly owner: string; readonly parts: readonly Part[] }
  | { readonly kind: 'keep over'; readonly workspace: number; readonly parts: readonly Part[] };

/** How edits change a room. What was done before, and what is kept, only the server knows; that is shown once it answers. */
export const roomEdits: Edits<RoomView, RoomEdit> = {
  apply: (view, edit) => {
    const { state } = view;
    if (edit.kind === 'move')
      return edit.cursor < 0 || edit.cursor > state.steps.length
        ? view
        : { ...view, state: { ...state, cursor: edit.cursor } };
    if (edit.kind !== 'step' || !stepTo(state.room, edit.title, edit.parts)) return view;
    return {
      ...view,
      state: {
        ...state,
        room: applyWorkspace(state.room, edit.parts),
        cursor: state.cursor + 1,
        steps: [...state.steps.slice(0, state.cursor), edit.title],
      },
    };
  },
  meets: (edit, before, now) => {
    if (edit.kind !== 'step' || before.state.person !== now.state.person) return true;
    const [was, is] = [before.state.room, now.state.room];
    return partsOf(edit.parts).some((part) => !sameData(was[part], is[part]));
  },
};
