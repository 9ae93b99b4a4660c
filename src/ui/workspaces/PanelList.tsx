'use client';

import { useMemo, useState } from 'react';
import type { CommandId, Program } from '@/core/program/program';
import { fold } from '@/core/text/fold';
import { type Arrangement, shownPanels, sideOf } from '@/core/workspace/arrangement';
import { hidePanel, showPanel } from '@/core/workspace/changePanels';
import { dropSpots, sideWords } from '@/core/workspace/dropSpots';
import type { Spot } from '@/core/workspace/placePanel';
import { ActionsMenu } from '../parts/ActionsMenu';
import { KeyCaps } from '../parts/KeyCaps';
import type { KeysOf } from '../parts/useKeysOf';
import { CommandIcon } from '../room/CommandIcon';
import type { RoomActions } from '../room/useRoom';
import styles from './workspaces.module.css';

type Props = {
  readonly program: Program;
  readonly panels: Arrangement;
  readonly keysOf: KeysOf;
  readonly actions: RoomActions;
  readonly bench: (command: CommandId) => string;
  readonly onPlace: (panel: CommandId, spot: Spot) => void;
};

/** Every panel of a program: shown or not, its key, where it is, and where it could go. */
export function PanelList({ program, panels, keysOf, actions, bench, onPlace }: Props) {
  const [words, setWords] = useState('');
  const all = useMemo(() => program.commands.filter((one) => one.kind === 'panel'), [program]);
  const found = all.filter((one) => fold(one.name).includes(fold(words)));
  const shown = shownPanels(panels);
  const nameOf = (id: CommandId): string => all.find((one) => one.id === id)?.name ?? id;
  return (
    <section className={styles.side} aria-label="Panels">
      <h2>
        Panels{' '}
        <span className="soft">
          {shown.size} of {all.length} shown
        </span>
      </h2>
      <input
        type="search"
        className="find"
        aria-label="Find a panel"
        placeholder="Find a panel"
        value={words}
        onChange={(event) => setWords(event.target.value)}
      />
      {all.length === 0 && <p className="soft">This program has no panels.</p>}
      <ul className={styles.lines}>
        {found.map(({ id, name }) => (
          <li key={id} className={styles.panelLine}>
            <label>
              <input
                type="checkbox"
                checked={shown.has(id)}
                onChange={(event) =>
                  actions.edit(event.target.checked ? `Show ${name}` : `Hide ${name}`, {
                    panels: event.target.checked ? showPanel(panels, id) : hidePanel(panels, id),
                  })
                }
              />
              <span className={styles.icon}>
                <CommandIcon command={id} />
              </span>
              <span className={styles.lineName}>{name}</span>
            </label>
            <ActionsMenu
              label={`More for ${name}`}
              actions={[
                ...dropSpots(panels, id, nameOf).map(
                  ({ spot, words: where }) => [where, () => onPlace(id, spot)] as const,
                ),
                ['Change its keys', bench(id)],
              ]}
            />
            <span className={styles.panelMore}>
              {keysOf(id)
                .slice(0, 2)
                .map((one) => (
                  <KeyCaps key={one} chord={one} />
                ))}
              {keysOf(id).length === 0 && <small className="soft">no key</small>}
              {shown.has(id) && <small className="soft">{sideWords(sideOf(panels, id))}</small>}
            </span>
          </li>
        ))}
        {found.length === 0 && all.length > 0 && <li className="soft">No panel is called so.</li>}
      </ul>
    </section>
  );
}
