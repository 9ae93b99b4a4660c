'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import { useMemo, useState } from 'react';
import type { Keymap } from '@/core/keymap/keymap';
import { type Command, type CommandId, type Program, pathText } from '@/core/program/program';
import { fold } from '@/core/text/fold';
import type { Room } from '@/core/workspace/room';
import {
  BUTTON_SIZES,
  type ButtonSize,
  fitsOn,
  gatherTurns,
  MOST_COLUMNS,
  placeButton,
  removeButton,
  type Strip,
  type StripName,
  stepButton,
  type ToolLayout,
  turnsApart,
} from '@/core/workspace/toolLayout';
import { Find } from '../kit/Find';
import { Row } from '../kit/Row';
import { Segments } from '../kit/Segments';
import { KeyCaps } from '../parts/KeyCaps';
import type { KeysOf } from '../parts/useKeysOf';
import { CommandIcon } from '../room/CommandIcon';
import type { RoomActions } from '../room/useRoom';
import { IconChooser } from './IconChooser';
import { LineName } from './LineName';
import { StripEditor } from './StripEditor';
import styles from './workspaces.module.css';

type Props = {
  readonly program: Program;
  readonly room: Room;
  readonly keymap: Keymap;
  readonly keysOf: KeysOf;
  readonly actions: RoomActions;
};
const STRIP_WORDS: Readonly<Record<StripName, string>> = { rail: 'tool rail', bar: 'button bar' };
const SIZE_WORDS: Readonly<Record<ButtonSize, string>> = { small: 'Small', medium: 'Medium', large: 'Large' };
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
  const moveTitle = `Move ${chosen === null ? '' : nameOf(chosen)} on the ${STRIP_WORDS[name]}`;
  const gathered = gatherTurns(strip.groups, keymap);
  const canGather = turnsApart(strip.groups, keymap);
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
        <Segments
          label="Button size"
          value={strip.size}
          options={BUTTON_SIZES.map((one) => [one, SIZE_WORDS[one]] as const)}
          onChange={(size) => put(`${SIZE_WORDS[size]} buttons on the ${STRIP_WORDS[name]}`, { ...strip, size })}
        />
        <Segments
          label="Under the icons"
          value={strip.words ? 'words' : 'nothing'}
          options={[
            ['nothing', 'Nothing'],
            ['words', 'Words'],
          ]}
          onChange={(next) =>
            put(`${next === 'words' ? 'Words' : 'No words'} on the ${STRIP_WORDS[name]}`, {
              ...strip,
              words: next === 'words',
            })
          }
        />
        {name === 'rail' && (
          <Segments
            label="Columns"
            value={String(tools.rail.columns)}
            options={Array.from({ length: MOST_COLUMNS }, (_, i) => [String(i + 1), String(i + 1)] as const)}
            onChange={(next) =>
              change(`Tool rail in columns: ${next}`, { rail: { ...tools.rail, columns: Number(next) } })
            }
          />
        )}
        <div>
          <Button
            variant="text"
            aria-disabled={!canGather}
            onClick={() => canGather && put('Put those that share a key together', { ...strip, groups: gathered })}
          >
            Put those that share a key together
          </Button>
          <p className="soft">
            {canGather
              ? 'Tools that take turns on one key stand apart now.'
              : 'Those that take turns on one key are together.'}
          </p>
        </div>
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
          <Box component="section" sx={{ px: 4, py: 3, background: 'var(--card)' }} aria-label={nameOf(chosen)}>
            <h2>
              <CommandIcon command={chosen} /> {nameOf(chosen)}
            </h2>
            <Row gap={1} wraps>
              <Button variant="text" onClick={() => put(moveTitle, stepButton(strip, chosen, -1))}>
                Earlier
              </Button>
              <Button variant="text" onClick={() => put(moveTitle, stepButton(strip, chosen, 1))}>
                Later
              </Button>
              <Button
                variant="text"
                onClick={() => {
                  put(`Take ${nameOf(chosen)} off the ${STRIP_WORDS[name]}`, removeButton(strip, chosen));
                  setChosen(null);
                }}
              >
                Take it off
              </Button>
            </Row>
            <IconChooser
              key={chosen}
              name={nameOf(chosen)}
              icon={tools.icons.find(([one]) => one === chosen)?.[1] ?? null}
              onChoose={(icon) =>
                change(`Icon of ${nameOf(chosen)}`, {
                  icons: [
                    ...tools.icons.filter(([one]) => one !== chosen),
                    ...(icon === null ? [] : [[chosen, icon] as const]),
                  ],
                })
              }
            />
          </Box>
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
