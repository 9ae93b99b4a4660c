'use client';

import { useEffect, useState } from 'react';
import type { Icons } from '@/core/view/views';
import { IconView } from '../room/IconView';
import { useRoomContext } from '../room/RoomContext';
import { ask, messageOf } from '../shell/api';
import styles from './workspaces.module.css';

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
    <section className={styles.iconChooser} aria-label={`Icon of ${name}`}>
      <div className={styles.iconHead}>
        <input
          type="search"
          className="find"
          aria-label={`Find an icon for ${name}`}
          placeholder="Find an icon by a word"
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
        <button type="button" className="word" aria-disabled={icon === null} onClick={() => onChoose(null)}>
          Usual icon
        </button>
        <span className="soft" role="status">
          {problem ||
            (found === null
              ? 'Searching…'
              : entries.length === 0
                ? 'No icon for that; try another word.'
                : `${entries.length} icons`)}
        </span>
      </div>
      <div className={styles.iconGrid}>
        {entries.map(([one, shapes]) => (
          <button
            key={one}
            type="button"
            aria-label={one}
            title={one}
            aria-pressed={one === icon}
            onClick={() => {
              addIcons({ [one]: shapes });
              onChoose(one);
            }}
          >
            <IconView shapes={shapes} size="1.4rem" />
          </button>
        ))}
      </div>
    </section>
  );
}
