import type { Command } from '../program/program';
import { meaningsIn } from '../words/meanings';
import { PAPER } from './samplePicture';

/** Jars of color beside the picture, and which of them is in hand, by its place. */
export type Jars = { readonly colors: readonly string[]; readonly at: number };

const INK = '#22201c';
export const START_JARS: Jars = { colors: [INK, '#6b6a45', '#8e8a52', '#b08aa0', PAPER], at: 0 };

/** How much of the way to white or black a color goes at a time. */
const STEP = 0.15;

/** The jars after a value of colors was called; null where it is of something else. */
export function changeJars({ colors, at }: Jars, { name, path }: Pick<Command, 'name' | 'path'>): Jars | null {
  if (!/colors?|jars?/i.test(`${name} ${path.at(-1) ?? ''}`)) return null;
  const meanings = meaningsIn(name);
  const take = (to: number): Jars => ({ colors, at: (to + colors.length) % colors.length });
  if (meanings.includes('swap') || meanings.includes('order=next')) return take(at + 1);
  if (meanings.includes('order=previous') || /last/i.test(name)) return take(at - 1);
  const toward = /light/i.test(name) ? 255 : /dark/i.test(name) ? 0 : null;
  if (toward !== null) return fillJar({ colors, at }, mixed(colors[at] ?? INK, toward));
  if (/^(?:ink|black)/i.test(name)) return take(0);
  return /paper|white|ground/i.test(name) ? fillJar({ colors, at }, PAPER) : { colors, at };
}

/** Fills the jar in hand with another color, as one picked from the picture. */
export function fillJar({ colors, at }: Jars, color: string): Jars {
  return { colors: colors.map((one, i) => (i === at ? color : one)), at };
}

function mixed(color: string, toward: number): string {
  const parts = [1, 3, 5].map((from) => Number.parseInt(color.slice(from, from + 2), 16));
  return `#${parts
    .map((one) =>
      Math.round(one + (toward - one) * STEP)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
}
