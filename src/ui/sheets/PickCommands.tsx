'use client';

import { useMemo, useState } from 'react';
import { bindingsOf, type Keymap } from '@/core/keymap/keymap';
import type { KeymapView } from '@/core/keymap/keymapView';
import { type CommandId, pathText } from '@/core/program/program';
import { fold } from '@/core/text/fold';
import { Find } from '../kit/Find';
import { Row } from '../kit/Row';
import { Tick } from '../kit/Tick';
import { toggled } from '../kit/toggled';
import { KeyCaps } from '../parts/KeyCaps';
import { ScreenDialog } from '../parts/ScreenDialog';

type Props = {
  readonly view: KeymapView;
  readonly keymap: Keymap;
  readonly picked: readonly CommandId[];
  readonly onPick: (picked: readonly CommandId[]) => void;
  readonly onClose: () => void;
};
const MOST_LISTED = 150;

/** Picks the commands of a sheet by hand, those that are picked first. */
export function PickCommands({ view, keymap, picked, onPick, onClose }: Props) {
  const [words, setWords] = useState('');
  const [first] = useState(() => new Set(picked));
  const { commands } = view.program;
  const found = useMemo(() => {
    const wanted = fold(words.trim());
    const all = commands.filter(
      (one) => bindingsOf(keymap, one.id).length > 0 && fold(`${one.name} ${one.path.join(' ')}`).includes(wanted),
    );
    return [...all.filter((one) => first.has(one.id)), ...all.filter((one) => !first.has(one.id))];
  }, [commands, keymap, words, first]);
  const toggle = (id: CommandId): void => onPick(toggled(picked, id));
  return (
    <ScreenDialog title={`Pick commands: ${picked.length} picked`} onClose={onClose}>
      <Find label="Find a command" placeholder="Find a command with keys" autoFocus value={words} onChange={setWords} />
      <ul className="ruled">
        {found.slice(0, MOST_LISTED).map((one) => (
          <Row key={one.id} component="li" apart>
            <Tick checked={picked.includes(one.id)} onChange={() => toggle(one.id)}>
              {one.name} <small className="soft">{pathText(one.path)}</small>
            </Tick>
            <span className="chords">
              {bindingsOf(keymap, one.id).map(({ chord }) => (
                <KeyCaps key={chord} chord={chord} />
              ))}
            </span>
          </Row>
        ))}
        {found.length === 0 && <li className="soft">No command with keys is called so.</li>}
        {found.length > MOST_LISTED && <li className="soft">and {found.length - MOST_LISTED} more; find by name</li>}
      </ul>
    </ScreenDialog>
  );
}
