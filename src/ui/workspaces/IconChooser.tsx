'use client';

import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Stack from '@mui/material/Stack';
import { useEffect, useState } from 'react';
import { counted } from '@/core/text/sentence';
import type { Icons } from '@/core/workspace/roomView';
import { Find } from '../kit/Find';
import { Row } from '../kit/Row';
import { IconView } from '../room/IconView';
import { useRoomContext } from '../room/RoomContext';
import { ask, messageOf } from '../shell/api';

type Props = {
  readonly name: string;
  /** The icon that was chosen; null for the usual one. */
  readonly icon: string | null;
  readonly onChoose: (icon: string | null) => void;
};
const RESTS = 180;

/** Chooses the icon of a button by searching the open set. */
export function IconChooser({ name, icon, onChoose }: Props) {
  const { addIcons } = useRoomContext();
  const [words, setWords] = useState(() => name.toLowerCase().split(' ')[0] ?? '');
  const [found, setFound] = useState<Icons | null>(null);
  const [problem, setProblem] = useState('');
  useEffect(() => {
    let gone = false;
    const later = window.setTimeout(() => {
      ask<Icons>('GET', `/api/icons?find=${encodeURIComponent(words)}`).then(
        (icons) => {
          if (gone) return;
          setProblem('');
          setFound(icons);
        },
        (error) => !gone && setProblem(messageOf(error)),
      );
    }, RESTS);
    return () => {
      gone = true;
      window.clearTimeout(later);
    };
  }, [words]);
  const entries = Object.entries(found ?? {});
  return (
    <Stack component="section" spacing={2} aria-label={`Icon of ${name}`}>
      <Row wraps>
        <Find
          label={`Find an icon for ${name}`}
          placeholder="Find an icon by a word"
          value={words}
          onChange={setWords}
        />
        <Button variant="text" aria-disabled={icon === null} onClick={() => onChoose(null)}>
          Usual icon
        </Button>
        <span className="soft" role="status">
          {problem ||
            (found === null
              ? 'Searching…'
              : entries.length === 0
                ? 'No icon for that; try another word.'
                : counted(entries.length, 'icon'))}
        </span>
      </Row>
      <Row wraps gap={1} style={{ maxHeight: '9rem', overflowY: 'auto', padding: 'var(--space-1)' }}>
        {entries.map(([one, shapes]) => (
          <IconButton
            key={one}
            aria-label={one}
            data-tip={one}
            aria-pressed={one === icon}
            onClick={() => {
              addIcons({ [one]: shapes });
              onChoose(one);
            }}
          >
            <IconView shapes={shapes} size="1.4rem" />
          </IconButton>
        ))}
      </Row>
    </Stack>
  );
}
