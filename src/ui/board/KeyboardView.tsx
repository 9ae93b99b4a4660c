'use client';

import { type CSSProperties, memo, useMemo, useState } from 'react';
import type { Modifier } from '@/core/chord/chord';
import { isFree, isModifierKey, type KeyFace, layerFaces } from '@/core/layer/layer';
import { Row } from '../kit/Row';
import { useSettings } from '../shell/SettingsContext';
import { FreeLayers, Legend, OfKeyboard, Pool, Views } from './besideKeyboard';
import styles from './board.module.css';
import { KeyButton } from './KeyButton';
import type { KeyboardProps } from './keyboardProps';
import { LayerButtons } from './LayerButtons';
import { pinState } from './pinState';
import { useKeyWalk } from './useKeyWalk';

/** The drawn keyboard with its pins, one layer at a time; a click on a key proposes it, a click on a modifier changes the layer. */
export const KeyboardView = memo(function KeyboardView(props: KeyboardProps) {
  const { index, factory, command, modifiers, proposed, proposedHeld, onToggle, onPick, onCard } = props;
  const { settings, where } = useSettings();
  const { keyboard, place } = where;
  const [whole, setWhole] = useState(false);
  const [free, setFree] = useState(false);
  const [byReach, setByReach] = useState(false);
  const faces = useMemo(() => layerFaces(where, modifiers, index), [where, modifiers, index]);
  const shown = useMemo(() => faces.filter((face) => whole || face.key.part === 'main block'), [faces, whole]);
  const area = useMemo(() => areaOf(shown), [shown]);
  const { board, focused, setFocused, onKeyDown } = useKeyWalk(shown);
  const at = proposed === null ? null : place(proposed).replace('hold:', '');
  const cardKey = keyboard.byCode.get(focused) ?? keyboard.keys[0];

  return (
    <section className={styles.keyboardArea} aria-label="Keyboard">
      <Row wraps>
        <LayerButtons modifiers={modifiers} onToggle={onToggle} />
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
      {free && <FreeLayers {...props} shown={shown} />}
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

/** The part of the keyboard that keys take up, in widths of a key. */
function areaOf(shown: readonly KeyFace[]) {
  const keys = shown.map((face) => face.key);
  const top = Math.min(...keys.map((key) => key.y));
  const width = Math.max(...keys.map((key) => key.x + key.width));
  return { top, width, height: Math.max(...keys.map((key) => key.y + key.height)) - top };
}
