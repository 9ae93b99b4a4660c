'use client';

import ButtonBase from '@mui/material/ButtonBase';
import { Lamp } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';

const LampChoices = dynamic(() => import('./LampChoices').then((one) => one.LampChoices));

/** How bright, how large, and how keys are written. */
export function LampMenu() {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <ButtonBase aria-haspopup="dialog" onClick={(event) => setAnchor(event.currentTarget)}>
        <Lamp size={22} strokeWidth={1.5} aria-hidden />
        Lamp
      </ButtonBase>
      {anchor !== null && <LampChoices anchor={anchor} onClose={() => setAnchor(null)} />}
    </>
  );
}
