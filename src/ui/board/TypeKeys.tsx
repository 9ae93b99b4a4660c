'use client';

import Button from '@mui/material/Button';
import OutlinedInput from '@mui/material/OutlinedInput';
import { useId, useState } from 'react';
import { type ChordText, canonicalText } from '@/core/chord/chord';
import { nearestReading } from '@/core/chord/nearestReading';
import { parseChord } from '@/core/chord/parseChord';
import { spoken } from '../parts/spoken';
import { useSettings } from '../shell/SettingsContext';

type Props = {
  readonly onPropose: (chord: ChordText | null) => void;
  /** Enter: the first choice. */
  readonly onFirst: () => void;
  /** Escape: back to pressing. */
  readonly onBack: () => void;
};

/** Takes keys that can't be pressed here by their words, with the nearest reading of what could not be read. */
export function TypeKeys({ onPropose, onFirst, onBack }: Props) {
  const id = useId();
  const { settings } = useSettings();
  const [typed, setTyped] = useState('');
  const dialect = settings.notation === 'windows' ? 'windows' : 'mac';
  const read = typed.trim() === '' ? null : parseChord(typed, dialect);
  const problem = read && !read.ok ? read.message : '';
  const near = problem === '' ? null : nearestReading(typed, dialect);
  const type = (text: string): void => {
    setTyped(text);
    if (text.trim() === '') return;
    const chord = parseChord(text, dialect);
    onPropose(chord.ok ? canonicalText(chord.chord) : null);
  };
  return (
    <>
      <label htmlFor={id} className="soft small">
        Type them, for example Ctrl+W or hold Space
      </label>
      <OutlinedInput
        id={id}
        autoFocus
        fullWidth
        size="small"
        value={typed}
        error={problem !== ''}
        inputProps={{ spellCheck: false, className: 'keys', 'aria-describedby': `${id} problem` }}
        onChange={(event) => type(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && read?.ok) onFirst();
          if (event.key === 'Escape') onBack();
        }}
      />
      <span id={`${id} problem`} role="alert" className="problem small">
        {problem}
      </span>{' '}
      {near !== null && (
        <Button variant="inline" onClick={() => type(spoken(canonicalText(near)))}>
          Did you mean {spoken(canonicalText(near))}?
        </Button>
      )}
    </>
  );
}
