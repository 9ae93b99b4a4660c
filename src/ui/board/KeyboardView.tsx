'use client';

import { type KeyboardEvent, memo, useMemo, useRef, useState } from 'react';
import type { ChordText, Modifier } from '@/core/chord/chord';
import { parseCanonical } from '@/core/chord/parseChord';
import { modifierLabel, writeChord } from '@/core/chord/writeChord';
import type { ClashIndex, Place } from '@/core/clash/clashIndex';
import { type KeyFace, layerFaces } from '@/core/keyboard/layer';
import { usKeyboard } from '@/core/keyboard/usKeyboard';
import { holds, type Keymap } from '@/core/keymap/keymap';
import { Pin, type PinState } from '../parts/Pin';
import { useSettings } from '../shell/SettingsContext';
import styles from './board.module.css';

type Props = {
  readonly index: ClashIndex;
  readonly place: Place;
  readonly factory: Keymap;
  readonly modifiers: readonly Modifier[];
  readonly proposed: ChordText | null;
  readonly proposedHeld: boolean;
  readonly onToggle: (modifier: Modifier) => void;
  readonly onPick: (chord: ChordText) => void;
};

const LEGEND: readonly (readonly [PinState, string])[] = [
  ['factory', 'factory'],
  ['yours', 'yours'],
  ['shared', 'take turns'],
  ['fixed', 'fixed'],
  ['clash', 'clash'],
];

/** The drawn keyboard with its pins, one layer at a time; a click on a key proposes it, a click on a modifier changes the layer. */
export const KeyboardView = memo(function KeyboardView({
  index,
  place,
  factory,
  modifiers,
  proposed,
  proposedHeld,
  onToggle,
  onPick,
}: Props) {
  const { settings, platform } = useSettings();
  const [focused, setFocused] = useState('KeyQ');
  const board = useRef<HTMLDivElement>(null);
  const faces = useMemo(() => layerFaces(usKeyboard, modifiers, index, place), [modifiers, index, place]);
  const layers: Modifier[] =
    platform === 'mac' || settings.notation !== 'windows' ? ['Mod', 'Ctrl', 'Alt', 'Shift'] : ['Mod', 'Alt', 'Shift'];
  const at = proposed === null ? null : place(proposed);

  const onKeyDown = (event: KeyboardEvent) => {
    const here = usKeyboard.keys.find((key) => key.code === focused);
    if (!here || event.ctrlKey || event.altKey || event.metaKey) return;
    const [dx, dy] = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key] ?? [
      0, 0,
    ];
    if (dx === 0 && dy === 0) return;
    event.preventDefault();
    const row = usKeyboard.keys.filter((key) => key.y === here.y + (dy ?? 0));
    const middle = here.x + here.width / 2;
    const next = dy
      ? row.find((key) => middle >= key.x && middle <= key.x + key.width)
      : row[row.indexOf(here) + (dx ?? 0)];
    if (!next) return;
    setFocused(next.code);
    board.current?.querySelector<HTMLElement>(`[data-code="${next.code}"]`)?.focus();
  };
  return (
    <section className={styles.keyboardArea} aria-label="Keyboard">
      <div className={styles.layerRow}>
        <span id="layer">Layer shown:</span>
        <div role="group" aria-labelledby="layer" className={styles.layers}>
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
        </div>
        <span className="soft">{modifiers.length === 0 ? 'no modifier' : ''}</span>
        <ul className={styles.legend} aria-label="What the pins mean">
          {LEGEND.map(([state, words]) => (
            <li key={state}>
              <Pin state={state} /> {words}
            </li>
          ))}
        </ul>
      </div>
      <div
        ref={board}
        className={styles.keyboard}
        role="group"
        aria-label={`${usKeyboard.name} keyboard, main block. Arrow keys move over it.`}
        onKeyDown={onKeyDown}
      >
        {faces.map((face) => (
          <KeyButton
            key={face.key.code}
            face={face}
            pin={pinState(face, factory)}
            on={modifiers.includes(face.key.name as Modifier)}
            ring={
              face.chord !== null && at !== null && (place(face.chord) === at || place(`hold:${face.chord}`) === at)
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
          />
        ))}
      </div>
    </section>
  );
});

function pinState({ holders, held, clash, fixed }: KeyFace, factory: Keymap): PinState | null {
  if (fixed !== null) return 'fixed';
  if (clash) return 'clash';
  const all = [...holders, ...held];
  if (all.length === 0) return null;
  const yours = all.some((holder) => !holds(factory, holder.command.id, holder.chord));
  return yours ? 'yours' : holders.length > 1 ? 'shared' : 'factory';
}

type KeyProps = {
  readonly face: KeyFace;
  readonly pin: PinState | null;
  readonly on: boolean;
  readonly ring: 'good' | 'wrong' | null;
  readonly tabbable: boolean;
  readonly notation: 'windows' | 'mac' | 'symbols';
  readonly onFocus: (code: string) => void;
  readonly onToggle: (modifier: Modifier) => void;
  readonly onPick: (chord: ChordText) => void;
};
const KeyButton = memo(function KeyButton({
  face,
  pin,
  on,
  ring,
  tabbable,
  notation,
  onFocus,
  onToggle,
  onPick,
}: KeyProps) {
  const { key, chord, holders, held, fixed } = face;
  const modifier = chord === null ? (key.name as Modifier) : null;
  const label = modifier === null ? key.label : modifierLabel(modifier, notation);
  const names = [...holders.map((h) => h.command.name), ...held.map((h) => `(hold) ${h.command.name}`)];
  const parsed = chord === null ? null : parseCanonical(chord);
  const spoken = modifier
    ? `${label}, layer ${on ? 'on' : 'off'}`
    : `${parsed ? writeChord(parsed, notation) : label}: ${fixed !== null ? 'fixed by the program' : names.length > 0 ? names.join(', ') : 'free'}`;
  return (
    <button
      type="button"
      data-code={key.code}
      data-pin={pin ?? undefined}
      data-on={on || undefined}
      data-ring={ring ?? undefined}
      data-wide={key.base === null || undefined}
      className={styles.key}
      style={{
        left: `${(key.x / usKeyboard.width) * 100}%`,
        top: `${(key.y / usKeyboard.rows) * 100}%`,
        width: `${(key.width / usKeyboard.width) * 100}%`,
      }}
      tabIndex={tabbable ? 0 : -1}
      aria-label={spoken}
      aria-pressed={modifier ? on : undefined}
      onFocus={() => onFocus(key.code)}
      onClick={() => (modifier ? onToggle(modifier) : chord && onPick(chord))}
    >
      <span className={styles.face}>
        <span className={styles.legendText}>{label}</span>
        {pin && <Pin state={pin} size={11} />}
        {names.length > 0 && (
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
