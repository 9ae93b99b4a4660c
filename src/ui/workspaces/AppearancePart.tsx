'use client';

import Paper from '@mui/material/Paper';
import Slider from '@mui/material/Slider';
import { useId } from 'react';
import type { Program } from '@/core/program/program';
import {
  type Appearance,
  CONTROL_SIZES,
  type ControlSize,
  contrastOf,
  shadesOf,
  TINT_WORDS,
  TINTS,
  type Tint,
  tintColor,
} from '@/core/workspace/appearance';
import type { Room } from '@/core/workspace/room';
import { Choice } from '../kit/Choice';
import { Row } from '../kit/Row';
import { Segments } from '../kit/Segments';
import type { KeysOf } from '../parts/useKeysOf';
import { InkMark } from '../room/InkMark';
import type { RoomActions } from '../room/useRoom';
import { RoomPicture } from './RoomPicture';
import styles from './workspaces.module.css';

type Props = {
  readonly program: Program;
  readonly room: Room;
  readonly keysOf: KeysOf;
  readonly actions: RoomActions;
};
const SIZE_WORDS: Readonly<Record<ControlSize, string>> = { small: 'Small', medium: 'Medium', large: 'Large' };

/** How bright, how strong and how large a program's window is, and what stands for what the picture doesn't have. */
export function AppearancePart({ program, room, keysOf, actions }: Props) {
  const { appearance } = room;
  const set = (title: string, values: Partial<Appearance>): void =>
    actions.settle(title, { appearance: { ...appearance, ...values } });
  const shades = shadesOf(appearance);
  return (
    <div className={`panes ${styles.appearance}`}>
      <Paper component="section" variant="side" aria-label="Appearance">
        <Level
          label="Brightness"
          value={appearance.brightness}
          says={`gray ${shades.ground} of 255, ${shades.dark ? 'light words' : 'dark words'}`}
          onChange={(brightness) => set('Brightness', { brightness })}
        />
        <Level
          label="Contrast"
          value={appearance.contrast}
          says={`words ${contrastOf(shades.text, shades.ground).toFixed(1)} to 1`}
          onChange={(contrast) => set('Contrast', { contrast })}
        />
        <Level
          label="Gray around the picture"
          value={appearance.surround}
          says={`gray ${shades.surround} of 255`}
          onChange={(surround) => set('Gray around the picture', { surround })}
        />
        <Segments
          label="Size of controls"
          value={appearance.controls}
          options={CONTROL_SIZES.map((one) => [one, SIZE_WORDS[one]] as const)}
          onChange={(controls) =>
            actions.edit(`${SIZE_WORDS[controls]} controls`, { appearance: { ...appearance, controls } })
          }
        />
        <TintChoice
          label="What can be seen through"
          value={appearance.seeThrough}
          onChange={(seeThrough) =>
            actions.edit(`Transparency in ${TINT_WORDS[seeThrough]}`, { appearance: { ...appearance, seeThrough } })
          }
        />
        <TintChoice
          label="What a mask covers"
          value={appearance.mask}
          onChange={(mask) => actions.edit(`Masks in ${TINT_WORDS[mask]}`, { appearance: { ...appearance, mask } })}
        />
        <p className="soft">Words stay readable whatever is set: never under 5 to 1.</p>
      </Paper>
      <div className={styles.pictureSide}>
        <RoomPicture program={program} room={room} keysOf={keysOf} onTop={() => undefined} masked />
      </div>
    </div>
  );
}

function Level({
  label,
  value,
  says,
  onChange,
}: {
  label: string;
  value: number;
  says: string;
  onChange: (value: number) => void;
}) {
  const id = useId();
  return (
    <div>
      <span id={id}>
        <strong>{label}</strong> {value}
      </span>
      <Slider
        aria-labelledby={id}
        value={value}
        getAriaValueText={(now) => `${now}, ${says}`}
        onChange={(_, next) => onChange(next as number)}
      />
      <small className="soft">{says}</small>
    </div>
  );
}

function TintChoice({ label, value, onChange }: { label: string; value: Tint; onChange: (tint: Tint) => void }) {
  return (
    <Choice
      label={label}
      row
      value={value}
      options={TINTS.map((one) => [
        one,
        <Row key={one} component="span" gap={1}>
          {one === 'plain' ? (
            <span className={styles.plainTint} style={{ background: tintColor(one) }} />
          ) : (
            <InkMark ink={one} size={13} silent />
          )}
          {TINT_WORDS[one]}
        </Row>,
      ])}
      onChange={onChange}
    />
  );
}
