'use client';

import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Link from 'next/link';
import { useState } from 'react';

export type Action = readonly [words: string, what: string | (() => void)];

/** A button that opens a menu of less common actions; an action is an address or something to do. */
export function ActionsMenu({
  label,
  words,
  actions,
}: {
  label: string;
  /** What the button shows instead of three dots. */
  words?: string;
  actions: readonly Action[];
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <button
        type="button"
        className={words === undefined ? 'more' : 'word'}
        aria-label={label}
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {words ?? (
          <svg width="18" height="18" viewBox="0 0 18 18" fill="currentColor" aria-hidden="true">
            <circle cx="3.5" cy="9" r="1.7" />
            <circle cx="9" cy="9" r="1.7" />
            <circle cx="14.5" cy="9" r="1.7" />
          </svg>
        )}
      </button>
      {anchor !== null && (
        <Menu disablePortal open anchorEl={anchor} onClose={() => setAnchor(null)}>
          {actions.map(([words, what]) =>
            typeof what === 'string' ? (
              <MenuItem key={words} component={Link} href={what} prefetch={false} onClick={() => setAnchor(null)}>
                {words}
              </MenuItem>
            ) : (
              <MenuItem
                key={words}
                onClick={() => {
                  setAnchor(null);
                  what();
                }}
              >
                {words}
              </MenuItem>
            ),
          )}
        </Menu>
      )}
    </>
  );
}
