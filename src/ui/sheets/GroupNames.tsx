'use client';

import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import { cutText } from '@/core/text/cutText';
import { ScreenDialog } from '../parts/ScreenDialog';

type Names = readonly (readonly [group: string, name: string])[];
type Props = {
  readonly titles: readonly string[];
  readonly names: Names;
  readonly onName: (names: Names) => void;
  readonly onClose: () => void;
};

/** Names of one's own for the groups of a sheet; an empty one leaves the group its own. */
export function GroupNames({ titles, names, onName, onClose }: Props) {
  const own = new Map(names);
  const name = (title: string, words: string): void => {
    const others = names.filter(([one]) => one !== title);
    onName(words.trim() === '' ? others : [...others, [title, cutText(words, 80)]]);
  };
  return (
    <ScreenDialog title="Name the groups" onClose={onClose}>
      <Stack spacing={3}>
        {titles.map((title) => (
          <TextField
            key={title}
            label={title}
            fullWidth
            defaultValue={own.get(title) ?? ''}
            placeholder={title}
            onChange={(event) => name(title, event.target.value)}
            slotProps={{ htmlInput: { maxLength: 80 } }}
          />
        ))}
        {titles.length === 0 && <p className="soft">Nothing is on the sheet yet, so there are no groups.</p>}
      </Stack>
    </ScreenDialog>
  );
}
