import { useEffect, useState } from 'react';
import type { KeymapView } from '@/core/keymap/keymapView';
import type { WorkspacesView } from '@/core/workspace/roomView';
import { ask, messageOf } from '../shell/api';
import { useNotice } from '../shell/Notices';

/** The keymap whose keys stand beside lines: the room's; the first there is is the factory's. */
export function useKeysView({ view: given, roomView }: WorkspacesView, wantedByRoom: number | null): KeymapView {
  const [view, setView] = useState(given);
  const tell = useNotice();
  const wanted = wantedByRoom ?? roomView.keymaps[0]?.id;
  useEffect(() => {
    if (wanted === undefined || wanted === view.draft.id) return;
    let still = true;
    ask<KeymapView>('GET', `/api/keymaps/${wanted}/view`).then(
      (next) => still && setView(next),
      (error) => tell(messageOf(error)),
    );
    return () => {
      still = false;
    };
  }, [wanted, view.draft.id, tell]);
  return view;
}
