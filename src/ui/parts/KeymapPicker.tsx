'use client';

import Button from '@mui/material/Button';
import { ChevronDown } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { KeymapChoice } from './KeymapList';

const KeymapList = dynamic(() => import('./KeymapList').then((one) => one.KeymapList));

type Props = KeymapChoice & {
  readonly label: string;
  /** What is picked, for those who listen. */
  readonly says?: string;
};

/** Switches to another keymap of any program. */
export function KeymapPicker({ label, says = 'Keymap', ...choice }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        variant="picker"
        aria-haspopup="menu"
        endIcon={<ChevronDown size={14} aria-hidden />}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        <span className="hidden">{says}: </span>
        {label}
      </Button>
      {anchor !== null && <KeymapList {...choice} anchor={anchor} onClose={() => setAnchor(null)} />}
    </>
  );
}
