'use client';

import ListSubheader from '@mui/material/ListSubheader';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useRouter } from 'next/navigation';
import type { KeymapLink } from '@/core/view/shelf';

export type KeymapChoice = {
  readonly links: readonly KeymapLink[];
  readonly program: string;
  readonly keymap: string;
  /** The address that a keymap leads to. */
  readonly to: (program: string, keymap: string) => string;
};
type Props = KeymapChoice & { readonly anchor: HTMLElement; readonly onClose: () => void };

/** The open list of keymaps, by program. */
export function KeymapList({ links, program, keymap, to, anchor, onClose }: Props) {
  const router = useRouter();
  const programs = [...new Set(links.map((link) => link.program))];
  return (
    <Menu disablePortal open anchorEl={anchor} onClose={onClose}>
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
                onClose();
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
  );
}
