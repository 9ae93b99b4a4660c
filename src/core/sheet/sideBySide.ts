import type { ChordText } from '../chord/chord';
import type { ConceptRow } from '../comparison/conceptTable';
import { bindingsOf, type Keymap } from '../keymap/keymap';
import { taskOf } from './tasks';

/** What several programs do, each with its keys in every one of them. Plain data, so that it can cross the wire. */
export type SideBySide = {
  /** The programs, as the heads of the columns. */
  readonly heads: readonly string[];
  readonly rows: readonly {
    readonly name: string;
    readonly menu: string;
    readonly task: string;
    /** What it is called in programs that call it otherwise, and where it only likely does the same. */
    readonly others: readonly string[];
    readonly keys: readonly (readonly ChordText[])[];
  }[];
};

/** Said of what came by way of another program and is not sure itself. */
export const LIKELY = ' (likely)';

/** One program of several: what it is called, and its keymap. */
export type Column = { readonly head: string; readonly keymap: Keymap };

/** The table of what at least two of several programs do, where any of them has keys for it. */
export function sideBySide(columns: readonly Column[], table: readonly ConceptRow[]): SideBySide {
  return {
    heads: columns.map((one) => one.head),
    rows: table.flatMap(({ commands, likely }) => {
      const own = commands.filter((one) => one !== null);
      const [first] = own;
      const keys = commands.map((one, i) => {
        const keymap = columns[i]?.keymap;
        return one && keymap ? bindingsOf(keymap, one.id).map((binding) => binding.chord) : [];
      });
      if (!first || own.length < 2 || keys.every((one) => one.length === 0)) return [];
      const others = commands.flatMap((one, i) =>
        one && (one.name !== first.name || likely.includes(i))
          ? [`${columns[i]?.head.split(' · ')[0]}: ${one.name}${likely.includes(i) ? LIKELY : ''}`]
          : [],
      );
      return [{ name: first.name, menu: first.path[0] ?? '', task: taskOf(first), others, keys }];
    }),
  };
}
