import type { ShapeName } from './keyboard';
import facts from './layouts.json';

/**
 * A language layout as plain facts of the open X keyboard data (Debian's `xkb-data`, its permission notice in
 * docs/licenses.md): for each character key, by its W3C code, what it prints at base, Shift, AltGr and Shift+AltGr;
 * `◌` before a character marks a dead key. Made by `npm run layouts`.
 */
export type LayoutFacts = {
  readonly id: string;
  readonly name: string;
  /** The X keyboard layout it is taken from. */
  readonly xkb: string;
  /** The shape it is mostly sold on. */
  readonly shape: ShapeName;
  readonly keys: Readonly<Record<string, readonly string[]>>;
};

export const LAYOUTS = facts as unknown as readonly LayoutFacts[];

/** The facts of a layout; the first one's where there is none of that name. */
export function layoutFacts(id: string): LayoutFacts {
  return LAYOUTS.find((one) => one.id === id) ?? (LAYOUTS[0] as LayoutFacts);
}
