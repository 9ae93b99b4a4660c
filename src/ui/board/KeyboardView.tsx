'use client';

import Button from '@mui/material/Button';
import { type CSSProperties, type KeyboardEvent, memo, useMemo, useRef, useState } from 'react';
import type { ChordText, Modifier } from '@/core/chord/chord';
import { parseCanonical } from '@/core/chord/parseChord';
import { modifierLabel, writeChord } from '@/core/chord/writeChord';
import type { ClashIndex, Holder } from '@/core/clash/clashIndex';
import { DESKTOP_NAMES } from '@/core/desktop/desktopKeys';
import type { Key } from '@/core/keyboard/keyboard';
import { holds, type Keymap } from '@/core/keymap/keymap';
import {
  countFree,
  isFree,
  isModifierKey,
  type KeyFace,
  keyFaceLabel,
  layerFaces,
  layersFor,
} from '@/core/layer/layer';
import type { Command } from '@/core/program/program';
import type { ReachOf } from '@/core/reach/reachOf';
import { FilterChip } from '../kit/FilterChip';
import { Row } from '../kit/Row';
import { KeyCaps } from '../parts/KeyCaps';
import { Pin, type PinState } from '../parts/Pin';
import { useSettings } from '../shell/SettingsContext';
import styles from './board.module.css';

type Props = {
  readonly index: ClashIndex;
  readonly factory: Keymap;
  /** The command on the bench, for whom keys are free or not. */
  readonly command: Command | null;
  readonly reach: ReachOf;
  readonly modifiers: readonly Modifier[];
  readonly proposed: ChordText | null;
  readonly proposedHeld: boolean;
  readonly onToggle: (modifier: Modifier) => void;
  readonly onLayer: (modifiers: readonly Modifier[]) => void;
  readonly onPick: (chord: ChordText) => void;
  readonly onCard: (code: string) => void;
  readonly onChooseKeyboard: () => void;
};

const LEGEND: readonly (readonly [PinState, string])[] = [
  ['factory', 'factory'],
  ['yours', 'yours'],
  ['keeper', 'keeper'],
  ['spare', 'spare'],
  ['shared', 'take turns'],
  ['fixed', 'fixed'],
  ['clash', 'clash'],
];

/** The drawn keyboard with its pins, one layer at a time; a click on a key proposes it, a click on a modifier changes the layer. */
export const KeyboardView = memo(function KeyboardView(props: Props) {
  const { index, factory, command, modifiers, proposed, proposedHeld, onToggle, onPick, onCard } = props;
  const { settings, platform, where } = useSettings();
  const { keyboard, place } = where;
  const [focused, setFocused] = useState('KeyQ');
  const [whole, setWhole] = useState(false);
  const [free, setFree] = useState(false);
  const [byReach, setByReach] = useState(false);
  const board = useRef<HTMLDivElement>(null);
  const faces = useMemo(() => layerFaces(where, modifiers, index), [where, modifiers, index]);
  const shown = useMemo(() => faces.filter((face) => whole || face.key.part === 'main block'), [faces, whole]);
  const area = useMemo(() => {
    const keys = shown.map((face) => face.key);
    const top = Math.min(...keys.map((key) => key.y));
    const width = Math.max(...keys.map((key) => key.x + key.width));
    return { top, width, height: Math.max(...keys.map((key) => key.y + key.height)) - top };
  }, [shown]);
  const layers: Modifier[] =
    platform === 'mac' || settings.desktop === 'mac' || settings.notation !== 'windows'
      ? ['Mod', 'Ctrl', 'Alt', 'Shift']
      : ['Mod', 'Alt', 'Shift'];
  const at = proposed === null ? null : place(proposed).replace('hold:', '');
  const cardKey = keyboard.byCode.get(focused) ?? keyboard.keys[0];

  const onKeyDown = (event: KeyboardEvent) => {
    const here = keyboard.byCode.get(focused);
    if (!here || event.ctrlKey || event.altKey || event.metaKey) return;
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!step) return;
    event.preventDefault();
    const next = keyToward(
      here,
      shown.map((face) => face.key),
      step[0] ?? 0,
      step[1] ?? 0,
    );
    if (!next) return;
    setFocused(next.code);
    board.current?.querySelector<HTMLElement>(`[data-code="${next.code}"]`)?.focus();
  };
  return (
    <section className={styles.keyboardArea} aria-label="Keyboard">
      <Row wraps>
        <span id="layer">Layer shown:</span>
        <Row role="group" aria-labelledby="layer">
          {layers.map((modifier) => (
            <button
              key={modifier}
              type="button"
              className={`cap ${styles.layer}`}
              aria-pressed={modifiers.includes(modifier)}
              onClick={() => onToggle(modifier)}
            >
              {modifierLabel(modifier, settings.notation)}
            </button>
          ))}
        </Row>
        {byReach ? (
          <span className={styles.scale}>
            0 under the {settings.hand} hand <span aria-hidden="true" /> 1 out of reach
          </span>
        ) : (
          <span className="soft">{modifiers.length === 0 ? 'no modifier' : ''}</span>
        )}
        <span className="push" />
        <Views
          free={free}
          onFree={setFree}
          byReach={byReach}
          onReach={setByReach}
          whole={keyboard.choice.size === 'compact' ? null : whole}
          onWhole={setWhole}
        />
      </Row>
      {free && <FreeLayers {...props} />}
      <div className={styles.place} style={{ '--shape': area.width / (area.height * 1.036) } as CSSProperties}>
        <div
          ref={board}
          className={styles.keyboard}
          data-whole={whole || undefined}
          role="group"
          aria-label={`${keyboard.name} keyboard, ${whole ? 'whole' : 'main block'}. Arrow keys move over it.`}
          onKeyDown={onKeyDown}
        >
          {shown.map((face) => (
            <KeyButton
              key={face.key.code}
              face={face}
              left={(face.key.x / area.width) * 100}
              top={((face.key.y - area.top) / area.height) * 100}
              width={(face.key.width / area.width) * 100}
              height={(face.key.height / area.height) * 100}
              pin={pinState(face, factory)}
              free={
                free && face.chord !== null && face.key.levels.length > 0
                  ? isFree(where, index, face.chord, command)
                  : null
              }
              reach={byReach && face.chord !== null ? props.reach(face.chord).figure : null}
              on={modifiers.includes(face.key.name as Modifier)}
              ring={
                face.chord !== null && at !== null && place(face.chord) === at
                  ? proposedHeld
                    ? 'wrong'
                    : 'good'
                  : null
              }
              tabbable={face.key.code === focused}
              notation={settings.notation}
              onFocus={setFocused}
              onToggle={onToggle}
              onPick={onPick}
              onCard={onCard}
            />
          ))}
        </div>
      </div>
      <Row wraps gap={3}>
        <Pool index={index} onPick={onPick} />
        <Legend />
        <span className="push" />
        <OfKeyboard
          card={cardKey && !isModifierKey(cardKey) ? cardKey : null}
          onCard={onCard}
          onChooseKeyboard={props.onChooseKeyboard}
        />
      </Row>
    </section>
  );
});

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
const Views = memo(function Views({ free, onFree, byReach, onReach, whole, onWhole }: ViewsProps) {
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

const Legend = memo(function Legend() {
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

type OfKeyboardProps = Pick<Props, 'onCard' | 'onChooseKeyboard'> & { readonly card: Key | null };
const OfKeyboard = memo(function OfKeyboard({ card, onCard, onChooseKeyboard }: OfKeyboardProps) {
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

/** How many keys of each layer are free, for the command on the bench or for anybody. */
function FreeLayers({ index, command, modifiers, onLayer }: Props) {
  const { settings, where } = useSettings();
  const counts = useMemo(
    () => layersFor(where.desktop).map((layer) => [layer, countFree(where, index, layer, command)] as const),
    [where, index, command],
  );
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
const Pool = memo(function Pool({ index, onPick }: Pick<Props, 'index' | 'onPick'>) {
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

/** The key that lies next in a direction: sideways in its own row, up and down the one above or below its middle. */
function keyToward(here: Key, keys: readonly Key[], dx: number, dy: number): Key | null {
  const middle = (key: Key) => key.x + key.width / 2;
  const rows = [...new Set(keys.map((key) => key.y))].sort((a, b) => a - b);
  if (dx !== 0) {
    const row = keys.filter((key) => key.y === here.y).sort((a, b) => a.x - b.x);
    return row[row.indexOf(here) + dx] ?? null;
  }
  const y = rows[rows.indexOf(here.y) + dy];
  return (
    keys
      .filter((key) => key.y === y)
      .sort((a, b) => Math.abs(middle(a) - middle(here)) - Math.abs(middle(b) - middle(here)))[0] ?? null
  );
}

function pinState({ holders, held, clash, fixed }: KeyFace, factory: Keymap): PinState | null {
  if (fixed !== null) return 'fixed';
  if (clash) return 'clash';
  const all = holders.length > 0 ? holders : held;
  if (all.length === 0) return null;
  const pins = all.map((holder) => pinOfHolder(holder, factory));
  if (pins.every((pin) => pin === 'spare')) return 'spare';
  return (
    (['keeper', 'yours'] as const).find((one) => pins.includes(one)) ?? (holders.length > 1 ? 'shared' : 'factory')
  );
}

/** The pin of one binding. */
export function pinOfHolder({ command, chord, keeper, spare }: Holder, factory: Keymap): PinState {
  if (spare) return 'spare';
  if (keeper) return 'keeper';
  return holds(factory, command.id, chord) ? 'factory' : 'yours';
}

type KeyProps = {
  readonly face: KeyFace;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  readonly pin: PinState | null;
  /** Whether it is free, when that is asked. */
  readonly free: boolean | null;
  /** How hard it is to reach, from 0 to 1, when that is asked. */
  readonly reach: number | null;
  readonly on: boolean;
  readonly ring: 'good' | 'wrong' | null;
  readonly tabbable: boolean;
  readonly notation: 'windows' | 'mac' | 'symbols';
  readonly onFocus: (code: string) => void;
  readonly onToggle: (modifier: Modifier) => void;
  readonly onPick: (chord: ChordText) => void;
  readonly onCard: (code: string) => void;
};
const KeyButton = memo(function KeyButton(props: KeyProps) {
  const { face, pin, free, reach, on, notation, onFocus, onToggle, onPick, onCard } = props;
  const { key, chord, holders, held, fixed } = face;
  const modifier = chord === null ? (key.name as Modifier) : null;
  const label = keyFaceLabel(key, notation);
  const names = [...holders.map((h) => h.command.name), ...held.map((h) => `(hold) ${h.command.name}`)];
  const parsed = chord === null ? null : parseCanonical(chord);
  const spoken = modifier
    ? `${label}, layer ${on ? 'on' : 'off'}`
    : `${parsed ? writeChord(parsed, notation) : label}: ${fixed !== null ? 'fixed by the program' : names.length > 0 ? names.join(', ') : 'free'}`;
  const shifted = key.levels[1]?.char;
  return (
    <button
      type="button"
      data-code={key.code}
      data-pin={pin ?? undefined}
      data-on={on || undefined}
      data-ring={props.ring ?? undefined}
      data-free={free ?? undefined}
      data-wide={key.levels.length === 0 || undefined}
      data-tall={key.height > 1 || undefined}
      className={styles.key}
      style={{ left: `${props.left}%`, top: `${props.top}%`, width: `${props.width}%`, height: `${props.height}%` }}
      tabIndex={props.tabbable ? 0 : -1}
      aria-label={reach === null ? spoken : `${spoken}, reach ${reach.toFixed(2)}`}
      data-tip={names.length > 0 ? names.join(', ') : undefined}
      aria-pressed={modifier ? on : undefined}
      onFocus={() => onFocus(key.code)}
      onContextMenu={(event) => {
        if (modifier) return;
        event.preventDefault();
        onCard(key.code);
      }}
      onClick={() => (modifier ? onToggle(modifier) : chord && onPick(chord))}
    >
      <span
        className={styles.face}
        data-reach={reach !== null || undefined}
        style={reach === null ? undefined : ({ '--far': `${Math.round(reach * 100)}%` } as CSSProperties)}
      >
        <span className={styles.legendText}>
          {label}
          {shifted !== undefined && shifted !== key.name && <span className={styles.shifted}>{shifted}</span>}
        </span>
        {pin && <Pin state={pin} size={11} />}
        {reach !== null && <span className={styles.figure}>{reach.toFixed(2)}</span>}
        {reach === null && names.length > 0 && (
          <span className={styles.holder}>
            {shortName(names[0] ?? '')}
            {names.length > 1 && ` +${names.length - 1}`}
          </span>
        )}
      </span>
    </button>
  );
});

/** Long words get a place to break where a small key needs one. */
function shortName(name: string): string {
  return name.replace(/\p{L}{9,}/gu, (word) => `${word.slice(0, 6)}\u00AD${word.slice(6)}`);
}
