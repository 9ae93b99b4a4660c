'use client';

import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import { useMemo, useState } from 'react';
import type { Keymap } from '@/core/keymap/keymap';
import { type Command, type CommandId, type Program, pathText } from '@/core/program/program';
import { fold } from '@/core/text/fold';
import type { Room } from '@/core/workspace/room';
import { fitsOn, placeButton, type Strip, type StripName, type ToolLayout } from '@/core/workspace/toolLayout';
import { Find } from '../kit/Find';
import { Segments } from '../kit/Segments';
import { KeyCaps } from '../parts/KeyCaps';
import type { KeysOf } from '../parts/useKeysOf';
import { CommandIcon } from '../room/CommandIcon';
import type { RoomActions } from '../room/useRoom';
import { ChosenButton } from './ChosenButton';
import { LineName } from './LineName';
import { StripEditor } from './StripEditor';
import { StripLook } from './StripLook';
import { STRIP_WORDS } from './stripWords';
import styles from './workspaces.module.css';

type Props = {
  readonly program: Program;
  readonly room: Room;
  readonly keymap: Keymap;
  readonly keysOf: KeysOf;
  readonly actions: RoomActions;
};
const MOST_LISTED = 200;

/** Which tools and buttons are at hand, in what order and groups, how large, and with which icons. */
export function ToolsPart({ program, room, keymap, keysOf, actions }: Props) {
  const { tools } = room;
  const [name, setName] = useState<StripName>('rail');
  const [chosen, setChosen] = useState<CommandId | null>(null);
  const names = useMemo(() => new Map(program.commands.map((one) => [one.id, one.name])), [program]);
  const nameOf = (id: CommandId): string => names.get(id) ?? id;
  const strip: Strip = tools[name];
  const change = (title: string, next: Partial<ToolLayout>): void =>
    actions.edit(title, { tools: { ...tools, ...next } });
  const put = (title: string, next: Strip): void => change(title, { [name]: next });
  return (
    <div className={`panes ${styles.tools}`}>
      <Paper component="section" variant="side" aria-label="How the buttons are">
        <Segments
          label="Arrange"
          value={name}
          options={[
            ['rail', 'Tool rail'],
            ['bar', 'Button bar'],
          ]}
          onChange={(next) => {
            setName(next);
            setChosen(null);
          }}
        />
        <StripLook {...{ tools, name, keymap, put, change }} />
      </Paper>
      <section className={styles.stripSide} aria-label={name === 'rail' ? 'Tool rail' : 'Button bar'}>
        <StripEditor
          key={name}
          name={name}
          strip={strip}
          keysOf={keysOf}
          nameOf={nameOf}
          chosen={chosen}
          onChoose={setChosen}
          onChange={put}
        />
      </section>
      <div className={styles.toolSide}>
        {chosen !== null && strip.groups.flat().includes(chosen) && (
          <ChosenButton {...{ tools, name, chosen, nameOf, put, change }} onGone={() => setChosen(null)} />
        )}
        <AddList
          program={program}
          strip={strip}
          name={name}
          keysOf={keysOf}
          onAdd={(command) => {
            const last = strip.groups.at(-1)?.at(-1);
            const spot =
              last === undefined
                ? ({ kind: 'apart', before: null } as const)
                : ({ kind: 'after', button: last } as const);
            put(`${command.name} to the ${STRIP_WORDS[name]}`, placeButton(strip, command.id, spot));
            setChosen(command.id);
          }}
        />
      </div>
    </div>
  );
}

type AddProps = {
  readonly program: Program;
  readonly strip: Strip;
  readonly name: StripName;
  readonly keysOf: KeysOf;
  readonly onAdd: (command: Command) => void;
};

/** What could stand on a strip and doesn't. */
function AddList({ program, strip, name, keysOf, onAdd }: AddProps) {
  const [words, setWords] = useState('');
  const there = new Set(strip.groups.flat());
  const open = program.commands.filter((one) => fitsOn(name, one) && !there.has(one.id));
  const found = open.filter((one) => fold(one.name).includes(fold(words.trim())));
  return (
    <Paper component="section" variant="side" aria-label="To add">
      <h2>
        To add <span className="soft">{open.length}</span>
      </h2>
      <Find
        label={name === 'rail' ? 'Find a tool to add' : 'Find a command to add'}
        value={words}
        onChange={setWords}
      />
      {open.length === 0 && <p className="soft">All tools are on the rail. Take one off and it waits here.</p>}
      <ul>
        {found.slice(0, MOST_LISTED).map((one) => (
          <li key={one.id} className={styles.line}>
            <span className={styles.icon}>
              <CommandIcon command={one.id} />
            </span>
            <LineName name={one.name} under={pathText(one.path)} />
            {keysOf(one.id)
              .slice(0, 1)
              .map((chord) => (
                <KeyCaps key={chord} chord={chord} />
              ))}
            <Button variant="inline" onClick={() => onAdd(one)}>
              Add<span className="hidden"> {one.name}</span>
            </Button>
          </li>
        ))}
        {found.length > MOST_LISTED && <li className="soft">and {found.length - MOST_LISTED} more; find by name</li>}
        {found.length === 0 && open.length > 0 && <li className="soft">Nothing is called so.</li>}
      </ul>
    </Paper>
  );
}
