import type { Advisor } from '@/core/advice/advisor';
import type { ChordText } from '@/core/chord/chord';
import type { ClashIndex } from '@/core/clash/clashIndex';
import type { Draft } from '@/core/keymap/draft';
import type { Ticket } from '@/core/keymap/ticket';
import type { Command } from '@/core/program/program';
import type { DraftActions } from '../../draft/useDraft';

/** What every dialog over the Board is given. */
export type DialogProps = {
  readonly index: ClashIndex;
  readonly draft: Draft;
  readonly selected: Command | null;
  readonly advisor: () => Advisor;
  /** How often a day a command is used. */
  readonly uses: (command: Command) => number;
  readonly actions: DraftActions;
  readonly onClose: () => void;
  readonly onOpen: (command: Command) => void;
  readonly onPropose: (chord: ChordText) => void;
  readonly onTicket: (ticket: Ticket) => Promise<boolean>;
};
