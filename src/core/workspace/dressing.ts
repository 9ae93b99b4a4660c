import { bindingsOf, type Keymap } from '../keymap/keymap';
import type { Command, CommandId } from '../program/program';
import { counted, type Sentence } from '../text/sentence';

/** The six inks that menu lines are marked with, each with a shape of its own. The names are of inks and dyes. */
export const INKS = ['iron', 'madder', 'weld', 'woad', 'walnut', 'orchil'] as const;
export type Ink = (typeof INKS)[number];
export const INK_WORDS: Readonly<
  Record<Ink, { readonly name: string; readonly color: string; readonly shape: string }>
> = {
  iron: { name: 'Iron', color: 'black', shape: 'square' },
  madder: { name: 'Madder', color: 'red', shape: 'triangle' },
  weld: { name: 'Weld', color: 'olive', shape: 'bar' },
  woad: { name: 'Woad', color: 'blue', shape: 'drop' },
  walnut: { name: 'Walnut', color: 'brown', shape: 'ring' },
  orchil: { name: 'Orchil', color: 'purple', shape: 'cross' },
};
/** The shapes as outlines of SVG paths in a square of 12 units, the same on screen and on paper. */
export const INK_SHAPES: Readonly<Record<Ink, string>> = {
  iron: 'M2 2H10V10H2Z',
  madder: 'M6 1.2L11.2 10.6H.8Z',
  weld: 'M4 .8H8V11.2H4Z',
  woad: 'M6 .6C8.4 3.8 9.8 5.6 9.8 7.6A3.8 3.8 0 0 1 2.2 7.6C2.2 5.6 3.6 3.8 6 .6Z',
  walnut: 'M6 1A5 5 0 0 1 6 11A5 5 0 0 1 6 1ZM6 3.6A2.4 2.4 0 0 0 6 8.4A2.4 2.4 0 0 0 6 3.6Z',
  orchil: 'M4.6 1H7.4V4.6H11V7.4H7.4V11H4.6V7.4H1V4.6H4.6Z',
};

/** How a program's menus are dressed: lines marked with an ink, lines hidden. Every other line is as it comes. */
export type Dressing = {
  readonly marks: readonly (readonly [command: CommandId, ink: Ink])[];
  readonly hidden: readonly CommandId[];
};
export const PLAIN_MENUS: Dressing = { marks: [], hidden: [] };

/** The mark of each marked line. */
export function marksOf({ marks }: Dressing): ReadonlyMap<CommandId, Ink> {
  return new Map(marks);
}

/** Marks lines with an ink; null takes their marks away. */
export function markLines(dressing: Dressing, commands: readonly CommandId[], ink: Ink | null): Dressing {
  const touched = new Set(commands);
  const others = dressing.marks.filter(([command]) => !touched.has(command));
  return { ...dressing, marks: ink === null ? others : [...others, ...commands.map((one) => [one, ink] as const)] };
}

/** Hides lines. */
export function hideLines(dressing: Dressing, commands: readonly CommandId[]): Dressing {
  return { ...dressing, hidden: [...new Set([...dressing.hidden, ...commands])] };
}

/** Brings lines back, or all that are hidden. */
export function showLines(dressing: Dressing, commands: readonly CommandId[] | 'all'): Dressing {
  if (commands === 'all') return { ...dressing, hidden: [] };
  const shown = new Set(commands);
  return { ...dressing, hidden: dressing.hidden.filter((one) => !shown.has(one)) };
}

/** A dressing without the lines that a program doesn't have. */
export function fitDressing({ marks, hidden }: Dressing, known: ReadonlySet<CommandId>): Dressing {
  return {
    marks: marks.filter(([command]) => known.has(command)),
    hidden: hidden.filter((one) => known.has(one)),
  };
}

/** What is lost by hiding lines: those without a key can't be reached then, and keepers are not to be lost from sight. */
export type HidingCost = { readonly keyless: readonly Command[]; readonly keepers: readonly Command[] };
export function hidingCost(keymap: Keymap, commands: readonly Command[]): HidingCost {
  return {
    keyless: commands.filter((one) => bindingsOf(keymap, one.id).length === 0),
    keepers: commands.filter((one) => bindingsOf(keymap, one.id).some((binding) => binding.keeper)),
  };
}

const MOST_NAMED = 4;

/** What is lost by hiding lines, as sentences; none where nothing is. */
export function describeHidingCost({ keyless, keepers }: HidingCost): readonly Sentence[] {
  const named = (list: readonly Command[]): string => {
    const names = list.slice(0, MOST_NAMED).map((one) => one.name);
    const more = list.length - names.length;
    return more > 0 ? `${names.join(', ')} and ${more} more` : names.join(', ');
  };
  const cost: Sentence[] = [];
  if (keyless.length > 0)
    cost.push([
      { text: `${counted(keyless.length, 'line')} without a key: ` },
      { strong: named(keyless) },
      { text: '. Hidden, they are reached only by bringing them back, or by giving them a key first.' },
    ]);
  if (keepers.length > 0)
    cost.push([
      { text: `${counted(keepers.length, 'keeper')}: ` },
      { strong: named(keepers) },
      { text: '. Their keys go on working.' },
    ]);
  return cost;
}
