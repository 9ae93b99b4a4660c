'use client';

import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import { type KeyboardEvent, useState } from 'react';
import { type ChordText, canonicalText } from '@/core/chord/chord';
import { parseChord } from '@/core/chord/parseChord';
import { chordOfEvent } from '@/core/keyboard/chordOfEvent';
import { KeyCaps } from '../parts/KeyCaps';
import { ScreenDialog } from '../parts/ScreenDialog';
import { spoken } from '../parts/spoken';
import { useSettings } from '../shell/SettingsContext';
import styles from './match.module.css';

type Props = {
  readonly title: string;
  readonly name: string;
  /** What there is to know of the keys pressed, in a sentence. */
  readonly say?: (chord: ChordText) => string;
  readonly onKeys: (chord: ChordText) => void;
  readonly onClose: () => void;
};

/** Asks for keys: pressed, or typed where they can't be pressed here. */
export function PressKeys({ title, name, say, onKeys, onClose }: Props) {
  const { platform, settings, where } = useSettings();
  const [chord, setChord] = useState<ChordText | null>(null);
  const [problem, setProblem] = useState('');
  const press = (event: KeyboardEvent): void => {
    const plain = !event.ctrlKey && !event.altKey && !event.metaKey && !event.shiftKey;
    // Tab, Escape and Enter do what they do in every dialog.
    if ((event.key === 'Tab' && !event.ctrlKey && !event.altKey && !event.metaKey) || (event.key === 'Escape' && plain))
      return;
    if (event.key === 'Enter' && plain && chord !== null) {
      event.preventDefault();
      onKeys(chord);
      return;
    }
    const pressed = chordOfEvent(event.nativeEvent, where.keyboard, platform);
    if (!pressed) return;
    event.preventDefault();
    event.stopPropagation();
    setProblem('');
    setChord(canonicalText(pressed));
  };
  const type = (text: string): void => {
    if (text.trim() === '') return;
    const read = parseChord(text, settings.notation === 'windows' ? 'windows' : 'mac');
    setProblem(read.ok ? '' : read.message);
    setChord(read.ok ? canonicalText(read.chord) : null);
  };
  return (
    <ScreenDialog
      title={title}
      onClose={onClose}
      actions={
        <Button variant="contained" disabled={chord === null} onClick={() => chord !== null && onKeys(chord)}>
          Take these keys
        </Button>
      }
    >
      <Stack spacing={3}>
        <div className={styles.press}>
          <InputBase
            autoFocus
            readOnly
            fullWidth
            value={chord === null ? '' : spoken(chord)}
            inputProps={{ 'aria-label': `Press the keys you want for ${name}` }}
            onKeyDown={press}
          />
          <span aria-hidden="true">
            {chord === null ? <span className="soft">Press keys…</span> : <KeyCaps chord={chord} big />}
          </span>
        </div>
        <p role="status">{chord !== null && say ? say(chord) : ''}</p>
        <TextField
          label="Or type them, for example Ctrl+W"
          error={problem !== ''}
          helperText={problem || ' '}
          slotProps={{ htmlInput: { spellCheck: false, className: 'keys' }, formHelperText: { role: 'alert' } }}
          onChange={(event) => type(event.target.value)}
        />
      </Stack>
    </ScreenDialog>
  );
}
