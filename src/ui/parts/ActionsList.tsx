'use client';

import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Link from 'next/link';

export type Action = readonly [words: string, what: string | (() => void)];

type Props = { readonly anchor: HTMLElement; readonly actions: readonly Action[]; readonly onClose: () => void };

/** The open menu of actions. */
export function ActionsList({ anchor, actions, onClose }: Props) {
  return (
    <Menu disablePortal open anchorEl={anchor} onClose={onClose}>
      {actions.map(([words, what]) =>
        typeof what === 'string' ? (
          <MenuItem key={words} component={Link} href={what} prefetch={false} onClick={onClose}>
            {words}
          </MenuItem>
        ) : (
          <MenuItem
            key={words}
            onClick={() => {
              onClose();
              what();
            }}
          >
            {words}
          </MenuItem>
        ),
      )}
    </Menu>
  );
}
