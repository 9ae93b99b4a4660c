'use client';

import OutlinedInput from '@mui/material/OutlinedInput';
import { type KeyboardEvent, memo, type RefObject } from 'react';
import type { KeymapView } from '@/core/keymap/keymapView';
import type { ContextId } from '@/core/program/program';
import type { Desk } from '@/core/tryout/desk';
import { Choice } from '../kit/Choice';
import { Row } from '../kit/Row';
import { useStable } from '../kit/useStable';
import { JarShelf } from './JarShelf';
import type { placesOf } from './placesOf';
import styles from './tryout.module.css';

type Props = {
  readonly program: KeymapView['program'];
  readonly desk: Desk;
  /** Whether the first keys of a sequence were pressed. */
  readonly waits: boolean;
  readonly places: ReturnType<typeof placesOf>;
  readonly focus: ContextId;
  readonly onFocus: (context: ContextId) => void;
  readonly field: RefObject<HTMLInputElement | null>;
  readonly typed: string;
  readonly onType: (value: string) => void;
  readonly onTextKey: (event: KeyboardEvent) => void;
};

/** Below the picture: where keys are pressed, a label to type into, how things stand, the colors in hand. */
export function Foot({ program, desk, waits, places, focus, onFocus, field, typed, onType, onTextKey }: Props) {
  const onTextFocus = useStable(() => places.typing !== null && onFocus(places.typing));
  return (
    <Row wraps className={styles.foot}>
      <PlacesPressed contexts={program.contexts} focus={focus} onFocus={onFocus} />
      {places.typing !== null && (
        <LabelField field={field} value={typed} onChange={onType} onFocus={onTextFocus} onKeyDown={onTextKey} />
      )}
      <span className={`push soft small ${styles.state}`} role="status">
        {program.commands.find((one) => one.id === desk.tool)?.name}
        {[...desk.values].slice(-2).map(([what, value]) => ` · ${what} ${value}`)}
        {` · ${Math.round(100 * desk.view.zoom)}\u00a0%`}
        {waits && ' · waits for the second keys'}
      </span>
      <JarShelf jars={desk.jars} />
    </Row>
  );
}

/** Where keys are pressed, to be chosen without a mouse. */
const PlacesPressed = memo(function PlacesPressed({
  contexts,
  focus,
  onFocus,
}: {
  contexts: KeymapView['program']['contexts'];
  focus: ContextId;
  onFocus: (context: ContextId) => void;
}) {
  return (
    <Choice
      label="Where keys are pressed"
      hidden
      row
      value={focus}
      options={contexts.map((one) => [one.id, one.name])}
      onChange={onFocus}
      // Arrow keys choose a place here; they are no press.
      onKeyDown={(event) => event.stopPropagation()}
    />
  );
});

/** A label of the program that is typed into. */
const LabelField = memo(function LabelField({
  field,
  value,
  onChange,
  onFocus,
  onKeyDown,
}: {
  field: RefObject<HTMLInputElement | null>;
  value: string;
  onChange: (value: string) => void;
  onFocus: () => void;
  onKeyDown: (event: KeyboardEvent) => void;
}) {
  return (
    <OutlinedInput
      inputRef={field}
      size="small"
      className={styles.text}
      placeholder="Type into a label"
      value={value}
      inputProps={{ 'aria-label': 'A label to type into' }}
      onChange={(event) => onChange(event.target.value)}
      onFocus={onFocus}
      onKeyDown={onKeyDown}
    />
  );
});
