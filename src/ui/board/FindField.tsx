'use client';

import OutlinedInput from '@mui/material/OutlinedInput';
import { Keyboard } from 'lucide-react';
import { type KeyboardEvent, memo, type RefObject } from 'react';
import type { ChordText } from '@/core/chord/chord';
import { IconAction } from '../kit/IconAction';
import { KeyCaps } from '../parts/KeyCaps';

type Props = {
  readonly inputRef: RefObject<HTMLInputElement | null>;
  readonly query: string;
  /** Null: by words. Otherwise the keys whose holders are looked for, empty until some are pressed. */
  readonly keys: ChordText | null;
  readonly onQuery: (words: string) => void;
  readonly onKeyDown: (event: KeyboardEvent) => void;
  /** From words to keys, and back. */
  readonly onWay: () => void;
};

/** Where a command is looked for by words or by keys. Drawn again only for what is in it, as a standard field is dear. */
export const FindField = memo(function FindField({ inputRef, query, keys, onQuery, onKeyDown, onWay }: Props) {
  return (
    <OutlinedInput
      inputRef={inputRef}
      fullWidth
      size="small"
      readOnly={keys !== null}
      value={keys === null ? query : ''}
      placeholder={keys === null ? 'Find a command, menu or keys…' : keys === '' ? 'Press keys…' : ''}
      inputProps={{
        role: 'combobox',
        'aria-expanded': true,
        'aria-controls': 'commands',
        'aria-autocomplete': 'list',
        'aria-label': keys === null ? 'Find a command or a menu' : 'Press the keys whose holder you look for',
        spellCheck: false,
      }}
      onChange={(event) => onQuery(event.target.value)}
      onKeyDown={onKeyDown}
      startAdornment={keys !== null && keys !== '' && <KeyCaps chord={keys} />}
      endAdornment={
        <IconAction
          icon={Keyboard}
          label="Find by pressing keys"
          tip={keys === null ? 'Find by pressing keys' : 'Find by words'}
          aria-pressed={keys !== null}
          onClick={onWay}
        />
      }
    />
  );
});
