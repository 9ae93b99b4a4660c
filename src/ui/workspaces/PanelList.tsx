'use client';

import Paper from '@mui/material/Paper';
import { useMemo, useState } from 'react';
import type { CommandId, Program } from '@/core/program/program';
import { fold } from '@/core/text/fold';
import { type Arrangement, shownPanels, sideOf } from '@/core/workspace/arrangement';
import { hidePanel, showPanel } from '@/core/workspace/changePanels';
import { dropSpots, sideWords } from '@/core/workspace/dropSpots';
import type { Spot } from '@/core/workspace/placePanel';
import { Find } from '../kit/Find';
import { Row } from '../kit/Row';
import { Tick } from '../kit/Tick';
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
    <Paper component="section" variant="side" aria-label="Panels">
      <h2>
        Panels{' '}
        <span className="soft">
          {shown.size} of {all.length} shown
        </span>
      </h2>
      <Find label="Find a panel" value={words} onChange={setWords} />
      {all.length === 0 && <p className="soft">This program has no panels.</p>}
      <ul>
        {found.map(({ id, name }) => (
          <li key={id} className={styles.line}>
            <Tick
              className={styles.lineName}
              checked={shown.has(id)}
              onChange={(on) =>
                actions.edit(on ? `Show ${name}` : `Hide ${name}`, {
                  panels: on ? showPanel(panels, id) : hidePanel(panels, id),
                })
              }
            >
              <Row component="span">
                <span className={styles.icon}>
                  <CommandIcon command={id} />
                </span>
                {name}
              </Row>
            </Tick>
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
    </Paper>
  );
}
