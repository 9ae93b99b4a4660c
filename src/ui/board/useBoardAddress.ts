import { useEffect } from 'react';
import type { CommandId } from '@/core/program/program';
import { replaceAddress } from '../kit/useBackCloses';
import type { Shown } from './BoardDialogs';

/** How long, in ms, the address rests before it follows. */
const ADDRESS_RESTS = 400;

/** The address follows the keymap (an edit of the factory's makes a new one), the command on the bench and what is shown. */
export function useBoardAddress(
  program: string,
  keymap: string,
  selected: CommandId | null,
  shown: Shown | null,
): void {
  useEffect(() => {
    const path = `/board/${program}/${keymap}${selected === null ? '' : `/${selected}`}`;
    const address = encodeURI(path) + (shown ? `?show=${encodeURIComponent(shown)}` : '');
    const { pathname, search } = window.location;
    if (pathname + search === address) return;
    // Another command is painted first, since the router goes through the page for it.
    if (new URLSearchParams(search).get('show') !== (shown || null)) {
      replaceAddress(address);
      return;
    }
    const soon = window.setTimeout(() => replaceAddress(address), ADDRESS_RESTS);
    return () => window.clearTimeout(soon);
  }, [program, keymap, selected, shown]);
}
