'use client';

import { memo } from 'react';
import { keyStrip } from '@/core/keyboard/keyStrip';
import type { KeymapSummary } from '@/core/keymap/keymapView';
import { useSettings } from '../shell/SettingsContext';

const UNIT = 14;
const CORNER = 2.5;

/** A keymap at a glance: its keys with their pins. A Shelf has hundreds of these, so all keys of a look are one path. */
export const KeyStrip = memo(function KeyStrip({ pins }: Pick<KeymapSummary, 'pins'>) {
  const { keyboard } = useSettings().where;
  const top = keyboard.byCode.get('Digit1')?.y ?? 0;
  const keys = keyStrip(keyboard, pins).map(({ key, pin }) => ({ x: key.x * UNIT, y: (key.y - top) * UNIT, pin }));
  const dots = (pin: 'factory' | 'yours', radius: number): string =>
    keys
      .filter((one) => one.pin === pin)
      .map(({ x, y }) => dot(x + UNIT / 2, y + UNIT / 2, radius))
      .join('');
  return (
    <svg
      width={14.6 * UNIT}
      height={4 * UNIT}
      viewBox={`0 0 ${14.6 * UNIT} ${4 * UNIT}`}
      aria-hidden="true"
      style={{ flex: 'none' }}
    >
      <path
        d={keys.map(({ x, y }) => cap(x + 0.75, y + 0.75, UNIT - 2)).join('')}
        fill="var(--key)"
        stroke="var(--line-soft)"
        strokeWidth="0.8"
      />
      <path d={dots('factory', 2.6)} fill="var(--pin-gray)" />
      <path d={dots('yours', 3.8)} fill="var(--yours)" />
      <path d={dots('yours', 1.2)} fill="var(--on-yours)" />
    </svg>
  );
});

/** The outline of a square with round corners, as an SVG path. */
function cap(x: number, y: number, side: number): string {
  const [straight, turn] = [side - 2 * CORNER, `a${CORNER} ${CORNER} 0 0 1`];
  return (
    `M${x + CORNER} ${y}h${straight}${turn} ${CORNER} ${CORNER}v${straight}${turn} ${-CORNER} ${CORNER}` +
    `h${-straight}${turn} ${-CORNER} ${-CORNER}v${-straight}${turn} ${CORNER} ${-CORNER}z`
  );
}

/** A dot around a point, as an SVG path. */
function dot(x: number, y: number, radius: number): string {
  const half = `a${radius} ${radius} 0 0 1`;
  return `M${x - radius} ${y}${half} ${2 * radius} 0${half} ${-2 * radius} 0z`;
}
