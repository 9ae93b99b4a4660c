import { MODIFIERS } from '../chord/chord';
import { parseCanonical } from '../chord/parseChord';
import { modifierLabel, type Notation, writeChord } from '../chord/writeChord';
import { type Binding, bindingsOf, type Keymap, sameKeys } from '../keymap/keymap';
import { type Command, pathText } from '../program/program';
import { turnArea } from '../program/turnArea';
import { capsOf } from './capsOf';
import type { SheetContents, SheetGroup, SheetLine } from './sheet';
import type { SheetRequest } from './sheetRequest';
import { compares, type Extra, type SheetNotation, type SheetSpec } from './sheetSpec';
import { TASK_ORDER, taskOf } from './tasks';

export const NOTATION_NOTES: Readonly<Record<SheetNotation, string>> = {
  windows: 'Windows keys',
  mac: 'Mac keys',
  symbols: 'Mac keys',
  both: 'Windows keys, Mac keys below',
};

/**
 * The groups and lines of a sheet. Commands without keys appear only where that was asked for, or where they lost theirs
 * on a difference sheet; tools that take turns on the same keys share a line.
 */
export function sheetContents(request: SheetRequest): SheetContents {
  const { program, spec } = request;
  const base = baseOf(request);
  const chosen = chosenCommands(request);
  const shows = new Set(spec.extras);
  const differs = (command: Command): boolean =>
    !sameKeys(bindingsOf(request.keymap, command.id), bindingsOf(base.keymap, command.id));
  // Where all are changed, saying so of each says nothing.
  const tells = shows.has('changed') && spec.contents !== 'yours' && spec.form !== 'difference';
  const groups = new Map<string, { lines: SheetLine[]; sort: string[]; byTurns: Map<string, number> }>();
  let anyChanged = false;
  for (const command of chosen) {
    const bindings = bindingsOf(request.keymap, command.id);
    const changed = tells && differs(command);
    anyChanged ||= changed;
    const title = groupOf(command, bindings, request);
    const group = groups.get(title) ?? { lines: [], sort: [], byTurns: new Map<string, number>() };
    groups.set(title, group);
    const area = turnArea(command, program.rules);
    const turns = `${area} ${bindings.map((one) => one.chord).join(' ')} ${changed}`;
    const shared =
      area < 0 || spec.form === 'difference' || bindings.length === 0 ? undefined : group.byTurns.get(turns);
    const first = shared === undefined ? undefined : group.lines[shared];
    const mark = shows.has('marks') ? request.marks?.get(command.id) : undefined;
    if (shared !== undefined && first) {
      const both = first.mark ?? mark;
      group.lines[shared] = { ...first, name: `${first.name} · ${command.name}`, ...(both ? { mark: both } : {}) };
      continue;
    }
    group.byTurns.set(turns, group.lines.length);
    const notes = notesOf(command, bindings, request, shows);
    group.lines.push({
      name: command.name,
      ...keysOf(bindings, spec.notation),
      changed,
      ...(mark ? { mark } : {}),
      ...(notes.length > 0 ? { notes } : {}),
    });
    group.sort.push(sortKey(command, bindings, spec));
  }
  const own = new Map(spec.groupNames);
  return {
    title: titleOf(request),
    notes: [...(anyChanged ? ['● changed from the factory keys'] : []), NOTATION_NOTES[spec.notation]],
    groups: inOrder(groups, spec).map(
      ([title, { lines, sort }]): SheetGroup => ({
        title: own.get(title) ?? title,
        lines: spec.order === 'menu' ? lines : sorted(lines, sort),
      }),
    ),
    footer: request.footer,
  };
}

/** The commands that a sheet has, in the program's order; the most used ones by their use. */
export function chosenCommands(request: Omit<SheetRequest, 'keymapName' | 'footer'>): readonly Command[] {
  const { program, keymap, factory, spec, uses } = request;
  const has = (command: Command): boolean => bindingsOf(keymap, command.id).length > 0;
  if (compares(spec)) {
    const { keymap: before } = baseOf(request);
    return program.commands.filter(({ id }) => !sameKeys(bindingsOf(keymap, id), bindingsOf(before, id)));
  }
  const open = program.commands.filter((command) => spec.keyless || has(command));
  switch (spec.contents) {
    case 'yours':
      return open.filter(({ id }) => !sameKeys(bindingsOf(keymap, id), bindingsOf(factory, id)));
    case 'picked': {
      const picked = new Set(spec.picked);
      return open.filter((one) => picked.has(one.id));
    }
    case 'used': {
      const often = new Set(
        open
          .filter((one) => (uses?.get(one.id) ?? 0) > 0)
          .sort((a, b) => (uses?.get(b.id) ?? 0) - (uses?.get(a.id) ?? 0))
          .slice(0, spec.most)
          .map((one) => one.id),
      );
      return open.filter((one) => often.has(one.id));
    }
    case 'places':
      return open.filter(
        (one) =>
          within(spec.menus, one.path[0] ?? '') && within(spec.kinds, one.kind) && within(spec.contexts, one.context),
      );
    case 'all':
      return open;
  }
}

function within<T>(list: readonly T[], one: T): boolean {
  return list.length === 0 || list.includes(one);
}

/** What a sheet compares with. */
export function baseOf({ base, factory }: Pick<SheetRequest, 'base' | 'factory'>): { name: string; keymap: Keymap } {
  return base ?? { name: 'Factory keys', keymap: factory };
}

function titleOf(request: SheetRequest): string {
  const { program, keymapName, spec } = request;
  if (spec.form === 'difference') return `${program.name} — ${keymapName} against ${baseOf(request).name}`;
  return `${program.name} — ${keymapName}`;
}

function keysOf(bindings: readonly Binding[], notation: SheetNotation): Pick<SheetLine, 'keys' | 'again'> {
  if (notation !== 'both') return { keys: bindings.map((one) => capsOf(one.chord, notation)) };
  const again = bindings.flatMap(({ chord }) => {
    const mac = capsOf(chord, 'symbols');
    return mac.join() === capsOf(chord, 'windows').join() ? [] : [mac];
  });
  return { keys: bindings.map((one) => capsOf(one.chord, 'windows')), ...(again.length > 0 ? { again } : {}) };
}

function notesOf(
  command: Command,
  bindings: readonly Binding[],
  request: SheetRequest,
  shows: ReadonlySet<Extra>,
): string[] {
  const { spec } = request;
  const before = bindingsOf(baseOf(request).keymap, command.id);
  const was = spec.form === 'difference' || (shows.has('was') && !sameKeys(bindings, before));
  return [
    ...(was ? [wasKeys(before, spec)] : []),
    ...(bindings.length === 0 && !was ? [] : bindings.length === 0 ? ['now without a key'] : []),
    ...(shows.has('hooks') ? bindings.flatMap((one) => one.hook ?? []) : []),
    ...(shows.has('path') && command.path.length > 0 ? [pathText(command.path)] : []),
  ];
}

function wasKeys(before: readonly Binding[], { notation }: SheetSpec): string {
  if (before.length === 0) return 'had no key';
  const written = before.map(({ chord }) => {
    const parsed = parseCanonical(chord);
    return parsed ? writeChord(parsed, notation === 'both' ? 'windows' : notation) : chord;
  });
  return `was ${written.join(' or ')}`;
}

const NO_KEY = 'No key';
const NO_MODIFIER = 'Without a modifier';
const HELD = 'While held';

/** What a command is grouped under: its menu, its task, or the modifiers of its first keys. */
function groupOf(command: Command, bindings: readonly Binding[], { program, spec }: SheetRequest): string {
  if (spec.group === 'menu') return command.path[0] ?? program.name;
  if (spec.group === 'task') return taskOf(command);
  const parsed = bindings[0] ? parseCanonical(bindings[0].chord) : null;
  const stroke = parsed?.strokes[0];
  if (!stroke) return NO_KEY;
  if (parsed?.hold) return HELD;
  const notation: Notation = spec.notation === 'both' ? 'windows' : spec.notation;
  if (stroke.modifiers.length === 0) return NO_MODIFIER;
  return stroke.modifiers.map((one) => modifierLabel(one, notation)).join(' + ');
}

type Groups = ReadonlyMap<string, { readonly lines: SheetLine[]; readonly sort: string[] }>;

/** Menus in the program's order, tasks in ours, modifiers from none to many. */
function inOrder(
  groups: Groups,
  { group }: SheetSpec,
): readonly (readonly [string, { lines: SheetLine[]; sort: string[] }])[] {
  const all = [...groups];
  if (group === 'menu') return all;
  if (group === 'task') return all.sort(([a], [b]) => TASK_ORDER.indexOf(a) - TASK_ORDER.indexOf(b));
  const rank = (title: string): number =>
    title === NO_MODIFIER ? 0 : title === HELD ? 90 : title === NO_KEY ? 99 : title.split(' + ').length;
  return all.sort(([a], [b]) => rank(a) - rank(b));
}

function sortKey(command: Command, bindings: readonly Binding[], { order }: SheetSpec): string {
  if (order === 'name') return command.name.toLowerCase();
  const parsed = bindings[0] ? parseCanonical(bindings[0].chord) : null;
  const stroke = parsed?.strokes[0];
  if (!stroke) return '~';
  // The key itself first, so that all that is on one key stands together; then how many modifiers are held.
  const layer = stroke.modifiers.reduce((sum, one) => sum + 2 ** MODIFIERS.indexOf(one), stroke.modifiers.length * 100);
  return `${keyRank(stroke.key ?? '')} ${String(layer).padStart(4, '0')}`;
}

/** Letters before digits before everything else; F2 before F10. */
function keyRank(key: string): string {
  if (/^[A-Z]$/.test(key)) return `1${key}`;
  if (/^\d$/.test(key)) return `2${key}`;
  const f = /^F(\d+)$/.exec(key);
  return f ? `3${f[1]?.padStart(3, '0')}` : `4${key}`;
}

function sorted(lines: readonly SheetLine[], keys: readonly string[]): SheetLine[] {
  return lines
    .map((line, i) => ({ line, key: keys[i] ?? '' }))
    .sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : 0))
    .map((one) => one.line);
}
