'use client';

import Popover from '@mui/material/Popover';
import Stack from '@mui/material/Stack';
import { LAMPS, SCREEN_NOTATIONS, TEXT_SIZES } from '@/core/settings/settings';
import { Segments } from '../kit/Segments';
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

/** The choices of the lamp, the text size and the notation of keys. */
export function LampChoices({ anchor, onClose }: { anchor: HTMLElement; onClose: () => void }) {
  const { settings, change } = useSettings();
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
      transformOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      slotProps={{ paper: { role: 'dialog', 'aria-label': 'Lamp, text and keys' } }}
    >
      <Stack spacing={4} sx={{ p: 4, maxWidth: '24rem' }}>
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
      </Stack>
    </Popover>
  );
}
