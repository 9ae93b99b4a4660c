'use client';

import Popover from '@mui/material/Popover';
import { useState } from 'react';
import { LAMPS, SCREEN_NOTATIONS, TEXT_SIZES } from '@/core/settings/settings';
import { Segments } from '../parts/Segments';
import { useSettings } from './SettingsContext';

const NAMES = {
  studio: 'Studio',
  bright: 'Bright',
  dim: 'Dim',
  contrast: 'High contrast',
  normal: 'Normal',
  large: 'Large',
  largest: 'Largest',
  windows: 'Ctrl Alt',
  mac: 'Command',
  symbols: '⌘ ⌥',
} as const;

/** How bright, how large, and how keys are written. */
export function LampMenu() {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { settings, change } = useSettings();
  return (
    <>
      <button type="button" aria-haspopup="dialog" onClick={(event) => setAnchor(event.currentTarget)}>
        <svg
          width="22"
          height="22"
          viewBox="0 0 22 22"
          fill="none"
          stroke="currentColor"
          strokeWidth="1.5"
          strokeLinecap="round"
          aria-hidden="true"
        >
          <path d="M6 12a5 5 0 1 1 10 0zM11 7V3M8.5 15.5h5M9.5 18.5h3" />
        </svg>
        Lamp
      </button>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        transformOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        slotProps={{ paper: { role: 'dialog', 'aria-label': 'Lamp, text and keys' } }}
      >
        <div className="fields" style={{ padding: '1.1rem', width: '22rem' }}>
          <Segments
            label="Lamp"
            value={settings.lamp}
            onChange={(lamp) => change({ lamp })}
            options={LAMPS.map((one) => [one, NAMES[one]] as const)}
          />
          <Segments
            label="Text"
            value={settings.textSize}
            onChange={(textSize) => change({ textSize })}
            options={TEXT_SIZES.map((one) => [one, NAMES[one]] as const)}
          />
          <Segments
            label="Keys on screen"
            value={settings.notation}
            onChange={(notation) => change({ notation })}
            options={SCREEN_NOTATIONS.map((one) => [one, NAMES[one]] as const)}
          />
        </div>
      </Popover>
    </>
  );
}
