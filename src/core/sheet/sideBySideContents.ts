import { capsOf } from './capsOf';
import type { SheetContents, SheetGroup, SheetLine } from './sheet';
import type { SheetRequest } from './sheetRequest';
import type { SideBySide } from './sideBySide';

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
