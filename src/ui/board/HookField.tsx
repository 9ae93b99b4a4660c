'use client';

import OutlinedInput from '@mui/material/OutlinedInput';

type Props = {
  readonly label: string;
  readonly hook: string;
  /** Null when it is left as it was. */
  readonly onDone: (hook: string | null) => void;
};

/** Notes what keys remind of; leaving the field is what stores the note. */
export function HookField({ label, hook, onDone }: Props) {
  return (
    <OutlinedInput
      autoFocus
      fullWidth
      size="small"
      placeholder="S for sheet"
      defaultValue={hook}
      inputProps={{ maxLength: 120, 'aria-label': label }}
      onKeyDown={(event) => {
        const field = event.target as HTMLInputElement;
        if (event.key === 'Escape') field.value = hook;
        if (event.key === 'Escape' || event.key === 'Enter') field.blur();
      }}
      onBlur={(event) => {
        const note = event.target.value.trim();
        onDone(note === hook ? null : note);
      }}
    />
  );
}
