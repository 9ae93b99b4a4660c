import type { Draft } from '@/core/keymap/draft';
import { counted } from '@/core/text/sentence';
import { Standing } from '../kit/Standing';

/** How a draft stands, in a word. */
export function DraftPill({ state, changes }: { state: Draft['state']; changes: number }) {
  const words = state.locked
    ? 'locked'
    : state.factory
      ? 'factory keys'
      : changes === 0 && !state.unnamed
        ? 'kept'
        : `draft · ${counted(changes, 'command')} changed`;
  return <Standing role="status">{words}</Standing>;
}
