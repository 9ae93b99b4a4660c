import { settledBy } from '@/core/advice/settledBy';
import type { Plan, WishList } from '@/core/advice/wishList';
import type { Draft } from '@/core/keymap/draft';
import { applyTicket } from '@/core/keymap/ticket';
import { counted } from '@/core/text/sentence';
import type { DraftActions } from '../draft/useDraft';
import { useNotice } from '../shell/Notices';

type Given = {
  readonly draft: Draft;
  readonly actions: DraftActions;
  readonly list: WishList;
  readonly change: (values: Partial<WishList>) => void;
};

/** Puts a plan on the tape as one ticket, and remembers on the list what it settled. */
export function usePut({ draft, actions, list, change }: Given): (plan: Plan) => Promise<void> {
  const tell = useNotice();
  return async (plan) => {
    const { ticket } = plan;
    if (!ticket) return;
    const { settled } = list;
    // Said first: on the factory keymap the ticket begins a keymap of one's own, and the list goes with it.
    change({ settled: settledBy(plan, list, applyTicket(draft.keymap, ticket)) });
    if (await actions.edit(ticket)) tell(`${counted(ticket.changes.length, 'change')} on the tape as one ticket.`);
    else change({ settled });
  };
}
