'use client';

import ListSubheader from '@mui/material/ListSubheader';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { KeymapLink } from '@/core/view/views';

type Props = {
  readonly label: string;
  readonly links: readonly KeymapLink[];
  readonly program: string;
  readonly keymap: string;
  /** What is picked, for those who listen. */
  readonly says?: string;
  /** The address that a keymap leads to. */
  readonly to: (program: string, keymap: string) => string;
};

/** Switches to another keymap of any program. */
export function KeymapPicker({ label, links, program, keymap, says = 'Keymap', to }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const router = useRouter();
  const programs = [...new Set(links.map((link) => link.program))];
  return (
    <>
      <button type="button" className="pill" aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        <span className="hidden">{says}: </span>
        {label} <span aria-hidden="true">▾</span>
      </button>
      {anchor !== null && (
        <Menu disablePortal open anchorEl={anchor} onClose={() => setAnchor(null)}>
          {programs.flatMap((one) => {
            const own = links.filter((link) => link.program === one);
            return [
              <ListSubheader key={one} role="presentation">
                {own[0]?.programName}
              </ListSubheader>,
              ...own.map((link) => (
                <MenuItem
                  key={`${one}/${link.keymap}`}
                  selected={one === program && link.keymap === keymap}
                  onClick={() => {
                    setAnchor(null);
                    router.push(to(one, link.keymap));
                  }}
                >
                  {link.name}
                  {link.owner && <span className="soft">&nbsp;· {link.owner}</span>}
                </MenuItem>
              )),
            ];
          })}
        </Menu>
      )}
    </>
  );
}
