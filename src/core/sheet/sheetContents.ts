import { parseCanonical } from '../chord/parseChord';
import { type Notation, strokeCaps } from '../chord/writeChord';
import { bindingsOf, type Keymap, sameKeys } from '../keymap/keymap';
import type { Command, CommandId, Program } from '../program/program';
import { turnArea } from '../program/turnArea';
import type { Ink } from '../workspace/dressing';
import type { SheetContents, SheetGroup, SheetLine } from './sheet';

/** What goes on a sheet: the commands whose keys differ from the factory's, or all that have keys. */
export const CONTENTS = ['yours', 'all'] as const;
export type Contents = (typeof CONTENTS)[number];

export type SheetRequest = {
  readonly program: Program;
  readonly keymapName: string;
  readonly keymap: Keymap;
  readonly factory: Keymap;
  readonly contents: Contents;
  readonly notation: Notation;
  readonly footer: string;
  /** The inks that menu lines are marked with; left out where marks stay off the sheet. */
  readonly marks?: ReadonlyMap<CommandId, Ink>;
};

const NOTATION_NOTES: Readonly<Record<Notation, string>> = {
  windows: 'Windows keys',
  mac: 'Mac keys',
  symbols: 'Mac keys',
};

/**
 * The groups and lines of a sheet, by menu in the program's own order. Commands without keys never appear; tools that
 * take turns on the same keys share a line.
 */
export function sheetContents(request: SheetRequest): SheetContents {
  const { program, keymap, factory, contents, notation, marks } = request;
  const groups = new Map<string, { lines: SheetLine[]; byTurns: Map<string, number> }>();
  let anyChanged = false;
  for (const command of chosenCommands(request)) {
    const bindings = bindingsOf(keymap, command.id);
    const changed = !sameKeys(bindings, bindingsOf(factory, command.id));
    anyChanged ||= changed;
    const title = command.path[0] ?? program.name;
    const group = groups.get(title) ?? { lines: [], byTurns: new Map<string, number>() };
    groups.set(title, group);
    const area = turnArea(command, program.rules);
    const turns = `${area} ${bindings.map((binding) => binding.chord).join(' ')} ${changed}`;
    const shared = area < 0 ? undefined : group.byTurns.get(turns);
    const first = shared === undefined ? undefined : group.lines[shared];
    if (shared !== undefined && first) {
      const mark = first.mark ?? marks?.get(command.id);
      group.lines[shared] = { ...first, name: `${first.name} · ${command.name}`, ...(mark ? { mark } : {}) };
    } else {
      group.byTurns.set(turns, group.lines.length);
      const mark = marks?.get(command.id);
      group.lines.push({
        name: command.name,
        keys: bindings.map((binding) => capsOf(binding.chord, notation)),
        changed,
        ...(mark ? { mark } : {}),
      });
    }
  }
  return {
    title: `${program.name} — ${request.keymapName}`,
    notes: [...(anyChanged && contents === 'all' ? ['● changed from the factory keys'] : []), NOTATION_NOTES[notation]],
    groups: [...groups].map(
      ([title, { lines }]): SheetGroup => ({
        title,
        lines: contents === 'yours' ? lines.map((l) => ({ ...l, changed: false })) : lines,
      }),
    ),
    footer: request.footer,
  };
}

/** The commands a sheet of these contents has, in the program's order. */
export function chosenCommands({
  program,
  keymap,
  factory,
  contents,
}: Pick<SheetRequest, 'program' | 'keymap' | 'factory' | 'contents'>): Command[] {
  return program.commands.filter((command) => {
    const bindings = bindingsOf(keymap, command.id);
    return bindings.length > 0 && (contents === 'all' || !sameKeys(bindings, bindingsOf(factory, command.id)));
  });
}

/** The caps of one chord for paper; a held chord ends in the word "hold", strokes of a sequence are joined by "then". */
export function capsOf(chord: string, notation: Notation): string[] {
  const parsed = parseCanonical(chord);
  if (!parsed) return [chord];
  const caps = parsed.strokes.flatMap((stroke, i) => [...(i > 0 ? ['then'] : []), ...strokeCaps(stroke, notation)]);
  return parsed.hold ? [...caps, 'hold'] : caps;
}
