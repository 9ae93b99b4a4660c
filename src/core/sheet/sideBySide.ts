import type { ChordText } from '../chord/chord';
import type { ConceptRow } from '../comparison/conceptTable';
import { bindingsOf, type Keymap } from '../keymap/keymap';
import type { SheetContents, SheetGroup, SheetLine } from './sheet';
import { capsOf, type SheetRequest } from './sheetContents';
import { taskOf } from './tasks';

/** What several programs do, each with its keys in every one of them. Plain data, so that it can cross the wire. */
export type SideBySide = {
  /** The programs, as the heads of the columns. */
  readonly heads: readonly string[];
  readonly rows: readonly {
    readonly name: string;
    readonly menu: string;
    readonly task: string;
    /** What it is called in programs that call it otherwise. */
    readonly others: readonly string[];
    readonly keys: readonly (readonly ChordText[])[];
  }[];
};

/** One program of several: what it is called, and its keymap. */
export type Column = { readonly head: string; readonly keymap: Keymap };

/** The table of what at least two of several programs do, where any of them has keys for it. */
export function sideBySide(columns: readonly Column[], table: readonly ConceptRow[]): SideBySide {
  return {
    heads: columns.map((one) => one.head),
    rows: table.flatMap(({ commands }) => {
      const own = commands.filter((one) => one !== null);
      const [first] = own;
      const keys = commands.map((one, i) => {
        const keymap = columns[i]?.keymap;
        return one && keymap ? bindingsOf(keymap, one.id).map((binding) => binding.chord) : [];
      });
      if (!first || own.length < 2 || keys.every((one) => one.length === 0)) return [];
      const others = commands.flatMap((one, i) =>
        one && one.name !== first.name ? [`${columns[i]?.head.split(' · ')[0]}: ${one.name}`] : [],
      );
      return [{ name: first.name, menu: first.path[0] ?? '', task: taskOf(first), others, keys }];
    }),
  };
}

/** A sheet of several programs side by side. */
export function sideBySideContents(request: SheetRequest, table: SideBySide): SheetContents {
  const { spec } = request;
  const notation = spec.notation === 'both' ? 'windows' : spec.notation;
  const rows = spec.differ
    ? table.rows.filter((one) => new Set(one.keys.map((keys) => keys.join(' '))).size > 1)
    : table.rows;
  const groups = new Map<string, SheetLine[]>();
  for (const { name, menu, task, others, keys } of rows) {
    const title = spec.group === 'task' ? task : menu;
    const line: SheetLine = {
      name,
      keys: [],
      columns: keys.map((chords) => chords.map((chord) => capsOf(chord, notation))),
      changed: false,
      ...(others.length > 0 ? { notes: others } : {}),
    };
    const list = groups.get(title);
    if (list) list.push(line);
    else groups.set(title, [line]);
  }
  const own = new Map(spec.groupNames);
  const byName = (lines: readonly SheetLine[]): readonly SheetLine[] =>
    spec.order === 'name' ? [...lines].sort((a, b) => (a.name.toLowerCase() < b.name.toLowerCase() ? -1 : 1)) : lines;
  return {
    title: table.heads.map((one) => one.split(' · ')[0]).join(', '),
    notes: [spec.differ ? 'Only where keys differ' : 'What at least two of them do'],
    heads: table.heads,
    groups: [...groups].map(([title, lines]): SheetGroup => ({ title: own.get(title) ?? title, lines: byName(lines) })),
    footer: request.footer,
  };
}
