'use client';

import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { useMemo, useState } from 'react';
import { buildFinder } from '@/core/finder/buildFinder';
import { changeCommand } from '@/core/program/changeCommand';
import { type Command, KINDS, type Program, pathText } from '@/core/program/program';
import type { ProgramView } from '@/core/program/programView';
import { entryOf } from '@/core/text/entryOf';
import { Find } from '../kit/Find';
import { Pick } from '../kit/Pick';
import { VirtualRows } from '../kit/VirtualRows';
import { KeyCaps } from '../parts/KeyCaps';
import styles from './allows.module.css';
import { EditCommand } from './EditCommand';
import { PlaceSelect } from './PlaceSelect';
import type { Step } from './step';

type Props = { readonly program: Program; readonly factoryKeys: ProgramView['factoryKeys']; readonly step: Step };
const ROW = 40;

/** Every command with what it is called, where it lives, its kind and where it is listened for, all to be corrected. */
export function CommandList({ program, factoryKeys, step }: Props) {
  const { commands, contexts } = program;
  const [query, setQuery] = useState('');
  const find = useMemo(() => buildFinder(commands), [commands]);
  const found = useMemo(() => find(query).commands, [find, query]);
  const [edited, setEdited] = useState<Command | null>(null);
  const change = (command: Command, values: Partial<Command>): void => {
    const { title, commands: next } = changeCommand(commands, command.id, values);
    void step(title, { commands: next });
  };
  return (
    <Stack component="section" spacing={2} className="card" aria-labelledby="commands-title">
      <div className={styles.listHead}>
        <h2 id="commands-title">Commands ({commands.length})</h2>
        <Find label="Find a command" placeholder="Find a command…" value={query} onChange={setQuery} />
        <span className="soft" role="status">
          {found.length} shown
        </span>
      </div>
      <VirtualRows
        rows={found}
        keyOf={(command) => command.id}
        height={ROW}
        className={styles.list}
        role="group"
        aria-label="Commands"
        empty={<p className="empty">Nothing here is called “{query.trim()}”.</p>}
      >
        {(command) => {
          const keys = entryOf(factoryKeys, command.id) ?? [];
          return (
            <div className={`wraps ${styles.commandRow}`}>
              <span>
                <strong>{command.name}</strong> <span className="soft">{pathText(command.path)}</span>
              </span>
              <span className="chords">
                {keys.slice(0, 2).map((chord) => (
                  <KeyCaps key={chord} chord={chord} />
                ))}
              </span>
              <Pick
                label={`Kind of ${command.name}`}
                hidden
                value={command.kind}
                options={KINDS.map((one) => [one, one])}
                onChange={(kind) => change(command, { kind })}
              />
              <PlaceSelect
                label={`Where ${command.name} is listened for`}
                contexts={contexts}
                value={command.context}
                onChange={(context) => change(command, { context })}
              />
              <Button variant="text" onClick={() => setEdited(command)}>
                Change…<span className="hidden"> {command.name}</span>
              </Button>
              {keys.length === 0 && (
                <Button
                  variant="text"
                  onClick={() =>
                    void step(`Removed: ${command.name}`, { commands: commands.filter((one) => one.id !== command.id) })
                  }
                >
                  Remove<span className="hidden"> {command.name}</span>
                </Button>
              )}
            </div>
          );
        }}
      </VirtualRows>
      {edited && (
        <EditCommand
          command={edited}
          came={(entryOf(factoryKeys, edited.id) ?? []).length > 0}
          {...{ program, step }}
          onClose={() => setEdited(null)}
        />
      )}
    </Stack>
  );
}
