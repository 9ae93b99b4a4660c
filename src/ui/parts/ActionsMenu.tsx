'use client';

import Button from '@mui/material/Button';
import { ChevronDown, Ellipsis } from 'lucide-react';
import dynamic from 'next/dynamic';
import { type MouseEvent, useState } from 'react';
import { IconAction } from '../kit/IconAction';
import type { Action } from './ActionsList';

export type { Action };

const ActionsList = dynamic(() => import('./ActionsList').then((one) => one.ActionsList));

type Props = {
  readonly label: string;
  /** What the button shows instead of three dots. */
  readonly words?: string;
  /** Asked for when the menu opens, where they are told by a function. */
  readonly actions: readonly Action[] | (() => readonly Action[]);
};

/** A button that opens a menu of less common actions; an action is an address or something to do. */
export function ActionsMenu({ label, words, actions }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const open = (event: MouseEvent<HTMLElement>): void => setAnchor(event.currentTarget);
  return (
    <>
      {words === undefined ? (
        <IconAction icon={Ellipsis} label={label} aria-haspopup="menu" onClick={open} />
      ) : (
        <Button
          variant="text"
          aria-label={label}
          aria-haspopup="menu"
          endIcon={<ChevronDown size={14} aria-hidden />}
          onClick={open}
        >
          {words}
        </Button>
      )}
      {anchor !== null && (
        <ActionsList
          anchor={anchor}
          actions={typeof actions === 'function' ? actions() : actions}
          onClose={() => setAnchor(null)}
        />
      )}
    </>
  );
}
