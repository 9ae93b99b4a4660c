'use client';

import Button from '@mui/material/Button';
import { useState } from 'react';
import { compareWorkspaces } from '@/core/workspace/compareWorkspaces';
import { PART_WORDS, type Part, pickParts } from '@/core/workspace/room';
import type { RoomView } from '@/core/workspace/roomView';
import { Ticks } from '../kit/Ticks';
import { toggled } from '../kit/toggled';
import { ScreenDialog } from '../parts/ScreenDialog';
import type { RoomActions } from '../room/useRoom';
import { useNotice } from '../shell/Notices';

type Props = {
  readonly roomView: RoomView;
  readonly nameOf: (command: string) => string;
  readonly keymapName: (keymap: number | null) => string;
  readonly actions: RoomActions;
  readonly onClose: () => void;
};

/** Sets some parts back to how the program comes; what would change is said first, and undo brings it back. */
export function FactoryDialog({ roomView, nameOf, keymapName, actions, onClose }: Props) {
  const { state, factory } = roomView;
  const tell = useNotice();
  const differences = compareWorkspaces(state.room, factory, nameOf, keymapName);
  const [parts, setParts] = useState<readonly Part[]>(() => differences.map((one) => one.part));
  const chosen = differences.filter((one) => parts.includes(one.part));
  return (
    <ScreenDialog
      title="Back to how the program comes"
      onClose={onClose}
      actions={
        <Button
          variant="contained"
          disabled={chosen.length === 0}
          onClick={() => {
            actions.edit('Back to factory', pickParts(factory, parts));
            tell('Set back to factory.', { words: 'Undo', run: () => actions.undo() });
            onClose();
          }}
        >
          Set them back
        </Button>
      }
    >
      {differences.length === 0 ? (
        <p>Everything is as the program comes.</p>
      ) : (
        <Ticks
          label="Set back"
          all={differences.map(({ part, words }) => [
            part,
            <span key={part}>
              <strong>{PART_WORDS[part]}</strong>: {words.join('; ')}
            </span>,
          ])}
          chosen={parts}
          onToggle={(part) => setParts((list) => toggled(list, part))}
        />
      )}
      <p className="soft">Workspaces that are kept stay as they are.</p>
    </ScreenDialog>
  );
}
