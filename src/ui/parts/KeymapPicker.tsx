'use client';

import Button from '@mui/material/Button';
import { ChevronDown } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { KeymapChoice } from './KeymapList';

const KeymapList = dynamic(() => import('./KeymapList').then((one) => one.KeymapList));

type Props = KeymapChoice & {
  /** The keymap as it is called now. */
  readonly label: string;
  /** Its program, where that is to be said as well. */
  readonly programName?: string;
  /** What is picked, for those who listen. */
  readonly says?: string;
};

/** Switches to another keymap of any program. */
export function KeymapPicker({ label, programName, says = 'Keymap', ...choice }: Props) {
  const among = choice.links.find((link) => link.program === choice.program)?.programName;
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
        {programName !== undefined && `${among ?? programName} · `}
        {label}
      </Button>
      {anchor !== null && <KeymapList {...choice} anchor={anchor} onClose={() => setAnchor(null)} />}
    </>
  );
}
