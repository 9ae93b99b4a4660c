import type { CSSProperties } from 'react';
import { type Appearance, CONTROL_SCALES, INK_COLORS, shadesOf, tintColor } from '@/core/workspace/appearance';
import { INKS } from '@/core/workspace/dressing';

const gray = (value: number): string => `rgb(${value} ${value} ${value})`;

/** The appearance of a program's window as the variables that our lamps set, for everything inside it. */
export function shadeStyle(appearance: Appearance, most: boolean): CSSProperties {
  const { dark, ground, card, paper, key, press, line, text, soft, surround } = shadesOf(
    most ? { ...appearance, contrast: 100 } : appearance,
  );
  const inks = INKS.map((ink) => [
    `--ink-${ink}`,
    dark ? `color-mix(in oklab, ${INK_COLORS[ink]}, white 55%)` : INK_COLORS[ink],
  ]);
  return {
    color: 'var(--text)',
    '--side': gray(ground),
    '--card': gray(card),
    '--card-2': gray(ground),
    '--paper': gray(paper),
    '--field': gray(paper),
    '--key': gray(key),
    '--key-dim': gray(press),
    '--line': gray(line),
    '--line-soft': `rgb(${line} ${line} ${line} / 40%)`,
    '--text': gray(text),
    '--soft': gray(soft),
    '--dark': gray(text),
    '--on-dark': gray(paper),
    '--yours': dark ? '#8fd3e4' : '#0a4a5d',
    '--on-yours': dark ? '#10262c' : '#ffffff',
    '--focus': dark ? '#8fd3e4' : '#0a4a5d',
    '--wrong': dark ? '#ffb4ab' : '#8c1a14',
    '--desk': gray(surround),
    '--see-through': tintColor(appearance.seeThrough),
    '--mask-tint': tintColor(appearance.mask),
    '--controls': CONTROL_SCALES[appearance.controls],
    ...Object.fromEntries(inks),
  } as CSSProperties;
}
