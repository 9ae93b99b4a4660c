'use client';

import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { memo } from 'react';
import { MOST_WISHED } from '@/core/advice/wishList';
import { bringMost } from '@/core/effort/bringMost';
import { GUESSED_USES, MOST_USES, type Uses } from '@/core/effort/uses';
import type { Draft } from '@/core/keymap/draft';
import { type Binding, bindingsOf } from '@/core/keymap/keymap';
import { type Command, type CommandId, type Program, pathText } from '@/core/program/program';
import type { ReachOf } from '@/core/reach/reachOf';
import { FilterChip } from '../kit/FilterChip';
import { Find } from '../kit/Find';
import { Row } from '../kit/Row';
import { Tick } from '../kit/Tick';
import { TEXT_SCALE } from '../kit/tokens';
import { VirtualRows } from '../kit/VirtualRows';
import { KeyCaps } from '../parts/KeyCaps';
import { useSettings } from '../shell/SettingsContext';
import { SHOWN, type Shown, usePicked } from './usePicked';
import styles from './wishes.module.css';

type Props = {
  readonly program: Program;
  readonly draft: Draft;
  readonly wishes: readonly CommandId[];
  readonly told: Uses;
  /** Null until reach is worked out for all keys. */
  readonly reach: ReachOf | null;
  readonly onWish: (commands: readonly CommandId[], on: boolean) => void;
  readonly onUses: (command: CommandId, perDay: number | null) => void;
  readonly onCounts: () => void;
};

const WORDS: Readonly<Record<Shown, string>> = {
  wished: 'Wished',
  all: 'All',
  'no key': 'No key',
  'hard to reach': 'Hard to reach',
};
const ROW = 46;
const TEN = 10;

/** Ticks the commands that are to have better keys, and tells how often a day each is used. */
export const WishPicker = memo(function WishPicker(props: Props) {
  const { program, draft, wishes, told, reach, onWish, onUses } = props;
  const { settings } = useSettings();
  const { query, setQuery, shown, setShown, sets, wished, asked, rows } = usePicked(props);
  const allTicked = rows.length > 0 && rows.every((one) => wished.has(one.id));
  return (
    <section className={styles.picker} aria-label="Wishes">
      <Find
        label="Find commands to wish for"
        placeholder="Find commands to wish for…"
        value={query}
        onChange={(words) => {
          setQuery(words);
          // Whoever looks for something means all there is.
          if (shown === 'wished' && words.trim() !== '') setShown('all');
        }}
      />
      <Row wraps gap={1} role="group" aria-label="Show">
        {SHOWN.map((one) => (
          <FilterChip key={one} pressed={shown === one} onClick={() => setShown(one)}>
            {WORDS[one]} {one === 'hard to reach' && !reach ? '…' : sets[one].length}
          </FilterChip>
        ))}
      </Row>
      <Row apart>
        <Button
          variant="inline"
          aria-disabled={rows.length === 0 || (!allTicked && rows.length > MOST_WISHED)}
          data-tip={!allTicked && rows.length > MOST_WISHED ? `At most ${MOST_WISHED} are ticked at once` : undefined}
          onClick={() => {
            if (allTicked || rows.length <= MOST_WISHED)
              onWish(
                rows.map((one) => one.id),
                !allTicked,
              );
          }}
        >
          {allTicked ? 'Untick these' : 'Tick all of these'}
        </Button>
        <Button variant="inline" data-tip="Read how often from a file" onClick={props.onCounts}>
          uses a day…
        </Button>
      </Row>
      {rows.length === 0 ? (
        <div className="empty">
          {shown === 'wished' && asked === '' ? (
            <p>
              Nothing is wished for yet. Tick commands under All, or begin with those that good keys save most time
              with.
            </p>
          ) : (
            <p>{asked === '' ? 'None.' : `Nothing here is called “${asked}”.`}</p>
          )}
        </div>
      ) : (
        <VirtualRows
          rows={rows}
          keyOf={(command) => command.id}
          height={ROW * TEXT_SCALE[settings.textSize]}
          className={styles.list}
          rowsRole="list"
          rowsLabel="Commands"
        >
          {(command) => (
            <PickRow
              command={command}
              bindings={bindingsOf(draft.keymap, command.id)}
              on={wished.has(command.id)}
              told={told.get(command.id)}
              onWish={onWish}
              onUses={onUses}
            />
          )}
        </VirtualRows>
      )}
      <Row apart>
        <Button
          variant="outlined"
          disabled={!reach}
          onClick={() => {
            if (!reach) return;
            const best = bringMost(program, draft.keymap, told, reach, TEN, wished);
            onWish(
              best.map((one) => one.id),
              true,
            );
            setShown('wished');
            setQuery('');
          }}
        >
          Add the ten that would bring most
        </Button>
        {wishes.length > 0 && (
          <Button variant="inline" onClick={() => onWish(wishes, false)}>
            Clear the list
          </Button>
        )}
      </Row>
    </section>
  );
});

type RowProps = {
  readonly command: Command;
  readonly bindings: readonly Binding[];
  readonly on: boolean;
  readonly told: number | undefined;
  readonly onWish: Props['onWish'];
  readonly onUses: Props['onUses'];
};
const PickRow = memo(function PickRow({ command, bindings, on, told, onWish, onUses }: RowProps) {
  return (
    <div className={styles.pickRow}>
      <Tick checked={on} onChange={(next) => onWish([command.id], next)}>
        <strong>{command.name}</strong>
        <br />
        <small className="soft">{pathText(command.path)}</small>
      </Tick>
      <span className="small">
        {bindings[0] ? <KeyCaps chord={bindings[0].chord} /> : <span className="soft">no key</span>}
      </span>
      <TextField
        key={told}
        className={styles.uses}
        type="number"
        placeholder={`${GUESSED_USES[command.kind]}?`}
        defaultValue={told ?? ''}
        data-tip={told === undefined ? 'A guess by its kind' : 'As you told'}
        slotProps={{
          htmlInput: { min: 0, max: MOST_USES, step: 'any', 'aria-label': `Uses a day of ${command.name}` },
        }}
        onBlur={(event) => {
          const field = event.target as HTMLInputElement;
          if (!field.validity.valid) field.value = told === undefined ? '' : String(told);
          else if (field.value !== String(told ?? ''))
            onUses(command.id, field.value === '' ? null : Number(field.value));
        }}
        onKeyDown={(event) => event.key === 'Enter' && (event.target as HTMLElement).blur()}
      />
    </div>
  );
});
