'use client';

import Button from '@mui/material/Button';
import { memo, useMemo } from 'react';
import { modifierLabel } from '@/core/chord/writeChord';
import { DESKTOP_NAMES } from '@/core/desktop/desktopKeys';
import type { Key } from '@/core/keyboard/keyboard';
import { countFree, type KeyFace, layersFor } from '@/core/layer/layer';
import { FilterChip } from '../kit/FilterChip';
import { Row } from '../kit/Row';
import { KeyCaps } from '../parts/KeyCaps';
import { Pin, type PinState } from '../parts/Pin';
import { useSettings } from '../shell/SettingsContext';
import styles from './board.module.css';
import type { KeyboardProps } from './keyboardProps';

const LEGEND: readonly (readonly [PinState, string])[] = [
  ['factory', 'factory'],
  ['yours', 'yours'],
  ['keeper', 'keeper'],
  ['spare', 'spare'],
  ['shared', 'take turns'],
  ['fixed', 'fixed'],
  ['clash', 'clash'],
];

type ViewsProps = {
  readonly free: boolean;
  readonly onFree: (on: boolean) => void;
  readonly byReach: boolean;
  readonly onReach: (on: boolean) => void;
  /** Null where there is no more of the keyboard. */
  readonly whole: boolean | null;
  readonly onWhole: (on: boolean) => void;
};

/** What else the drawn keyboard can show. A press changes nothing of it, nor of the legend and what stands beside it. */
export const Views = memo(function Views({ free, onFree, byReach, onReach, whole, onWhole }: ViewsProps) {
  return (
    <>
      <FilterChip pressed={free} onClick={() => onFree(!free)}>
        What is free
      </FilterChip>
      <FilterChip pressed={byReach} onClick={() => onReach(!byReach)}>
        Reach
      </FilterChip>
      {whole !== null && (
        <FilterChip pressed={whole} onClick={() => onWhole(!whole)}>
          Whole keyboard
        </FilterChip>
      )}
    </>
  );
});

export const Legend = memo(function Legend() {
  return (
    <Row component="ul" wraps gap={3} className="soft small" aria-label="What the pins mean">
      {LEGEND.map(([state, words]) => (
        <Row key={state} component="li" gap={1}>
          <Pin state={state} /> {words}
        </Row>
      ))}
    </Row>
  );
});

type OfKeyboardProps = Pick<KeyboardProps, 'onCard' | 'onChooseKeyboard'> & { readonly card: Key | null };

export const OfKeyboard = memo(function OfKeyboard({ card, onCard, onChooseKeyboard }: OfKeyboardProps) {
  const { keyboard, desktop } = useSettings().where;
  return (
    <>
      {card && (
        <Button variant="inline" onClick={() => onCard(card.code)}>
          All of {card.label}
        </Button>
      )}
      <Button variant="inline" aria-haspopup="dialog" onClick={onChooseKeyboard}>
        <span className="hidden">Keyboard: </span>
        {keyboard.name} · {DESKTOP_NAMES[desktop].replace('a ', '')}
      </Button>
    </>
  );
});

/** How many of the keys that are shown are free on each layer, for the command on the bench or for anybody. */
export function FreeLayers({
  index,
  command,
  modifiers,
  shown,
  onLayer,
}: KeyboardProps & { readonly shown: readonly KeyFace[] }) {
  const { settings, where } = useSettings();
  const counts = useMemo(() => {
    const keys = shown.map((face) => face.key);
    return layersFor(where.desktop).map((layer) => [layer, countFree(where, index, layer, command, keys)] as const);
  }, [where, index, command, shown]);
  return (
    <Row wraps gap={1} role="group" aria-label="Free keys by layer">
      <span className="soft">{command ? `Free for ${command.name}:` : 'Free:'}</span>
      {counts.map(([layer, count]) => (
        <FilterChip key={layer.join()} pressed={layer.join() === modifiers.join()} onClick={() => onLayer(layer)}>
          {layer.map((one) => modifierLabel(one, settings.notation)).join(' ') || 'no modifier'} {count}
        </FilterChip>
      ))}
    </Row>
  );
}

const MOST_SPENT = 5;

/** The keys that spare commands give: a pool to spend. */
export const Pool = memo(function Pool({ index, onPick }: Pick<KeyboardProps, 'index' | 'onPick'>) {
  const pool = useMemo(
    () =>
      [...index.keymap.spares].flatMap((id) =>
        (index.keymap.bindings.get(id) ?? []).map(
          ({ chord }) => [chord, index.facts.commands.get(id)?.name ?? id] as const,
        ),
      ),
    [index],
  );
  if (pool.length === 0) return null;
  return (
    <Row wraps className={styles.near}>
      <span className="soft">Yours to spend:</span>
      {pool.slice(0, MOST_SPENT).map(([chord, name]) => (
        <Button key={`${chord} ${name}`} variant="picker" data-tip={name} onClick={() => onPick(chord)}>
          <KeyCaps chord={chord} />
        </Button>
      ))}
      {pool.length > MOST_SPENT && <span className="soft">and {pool.length - MOST_SPENT} more</span>}
    </Row>
  );
});
