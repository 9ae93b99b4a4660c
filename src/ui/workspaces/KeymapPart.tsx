'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Link from 'next/link';
import type { RoomView } from '@/core/workspace/roomView';
import type { RoomActions } from '../room/useRoom';
import { LineName } from './LineName';
import styles from './workspaces.module.css';

type Props = {
  readonly roomView: RoomView;
  readonly programSlug: string;
  readonly actions: RoomActions;
};

/** Which keymap belongs to the room. */
export function KeymapPart({ roomView, programSlug, actions }: Props) {
  const { state, keymaps } = roomView;
  const [factory] = keymaps;
  const now = keymaps.find((one) => one.id === state.room.keymap) ?? factory;
  return (
    <Box component="section" sx={{ p: 4, maxWidth: '44rem' }} aria-label="Keymap">
      <p className="soft">The keys that belong to this workspace. Board and Tryout open with them after a switch.</p>
      <RadioGroup
        aria-label="Keymap of this workspace"
        value={now?.id ?? ''}
        onChange={(event) => {
          const one = keymaps.find(({ id }) => String(id) === event.target.value);
          if (one) actions.edit(`Keymap ${one.name}`, { keymap: one.id === factory?.id ? null : one.id });
        }}
      >
        {keymaps.map((one) => (
          <div key={one.id} className={styles.line}>
            <FormControlLabel
              className={styles.lineName}
              value={one.id}
              control={<Radio />}
              label={<LineName name={one.name} under={one.owner} />}
            />
            <Button variant="text" component={Link} href={`/board/${programSlug}/${one.slug}`} prefetch={false}>
              Open<span className="hidden"> {one.name} on the Board</span>
            </Button>
            <Button variant="text" component={Link} href={`/tryout/${programSlug}/${one.slug}`} prefetch={false}>
              Try<span className="hidden"> {one.name}</span>
            </Button>
          </div>
        ))}
      </RadioGroup>
    </Box>
  );
}
