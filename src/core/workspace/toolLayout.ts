import { bindingsOf, type Keymap } from '../keymap/keymap';
import type { Command, CommandId, Program } from '../program/program';

export const BUTTON_SIZES = ['small', 'medium', 'large'] as const;
export type ButtonSize = (typeof BUTTON_SIZES)[number];
/** The side of a button in each size, in CSS pixels. */
export const BUTTON_PIXELS: Readonly<Record<ButtonSize, number>> = { small: 26, medium: 32, large: 40 };
export const MOST_COLUMNS = 3;

/** Buttons in groups, each group set apart from the next. No button is there twice, no group is empty. */
export type Strip = {
  readonly groups: readonly (readonly CommandId[])[];
  readonly size: ButtonSize;
  /** Whether each button's name stands under its icon. */
  readonly words: boolean;
};
/** The tool rail at a program's side and the button bar below its menus. */
export type ToolLayout = {
  readonly rail: Strip & { readonly columns: number };
  readonly bar: Strip;
  /** The icons that were chosen; any other command has the usual one of its name. */
  readonly icons: readonly (readonly [command: CommandId, icon: string])[];
};
export const STRIPS = ['rail', 'bar'] as const;
export type StripName = (typeof STRIPS)[number];

/**
 * The tools a program starts with: all of them, by what its own list says they are for, else those that share a factory
 * key in one group; an empty bar.
 */
export function factoryTools(program: Program, factory: Keymap): ToolLayout {
  const tools = program.commands.filter((one) => one.kind === 'tool');
  const size = 'medium';
  return {
    rail: { groups: byPurpose(tools) ?? byTurns(tools, factory), size, words: false, columns: 2 },
    bar: { groups: [], size, words: false },
    icons: [],
  };
}

/** The tools by the last step of their paths, in their order; null where that does not tell them apart. */
function byPurpose(tools: readonly Command[]): readonly (readonly CommandId[])[] | null {
  const groups = new Map<string, CommandId[]>();
  for (const { id, path } of tools) {
    const own = groups.get(path.join('\n'));
    if (own) own.push(id);
    else groups.set(path.join('\n'), [id]);
  }
  return groups.size > 1 ? [...groups.values()] : null;
}

function byTurns(tools: readonly Command[], factory: Keymap): readonly (readonly CommandId[])[] {
  const groups = gatherTurns(
    tools.map((one) => [one.id]),
    factory,
  );
  // Tools alone on their key stand together as long as nothing that takes turns comes between them.
  const joined: CommandId[][] = [];
  let loose = false;
  for (const group of groups) {
    if (group.length === 1 && loose) joined.at(-1)?.push(...group);
    else joined.push([...group]);
    loose = group.length === 1;
  }
  return joined;
}

/** What a group's tools are for, where its program's list says the same of all of them; null where it doesn't. */
export function purposeOf(group: readonly Command[]): string | null {
  const [first, ...others] = group;
  if (!first || first.path.length < 2) return null;
  return others.every((one) => one.path.join('\n') === first.path.join('\n')) ? (first.path.at(-1) ?? null) : null;
}

/** Whether commands that share a key sit in groups apart. */
export function turnsApart(groups: readonly (readonly CommandId[])[], keymap: Keymap): boolean {
  const home = new Map<string, number>();
  return groups.some((group, at) =>
    group.some((one) =>
      bindingsOf(keymap, one).some(({ chord }) => {
        if (!home.has(chord)) home.set(chord, at);
        return home.get(chord) !== at;
      }),
    ),
  );
}

/** Groups in which commands that share a key sit together, where the first of them is; others stay as they are. */
export function gatherTurns(
  groups: readonly (readonly CommandId[])[],
  keymap: Keymap,
): readonly (readonly CommandId[])[] {
  const flat = groups.flat();
  const first = new Map<string, CommandId>();
  const home = new Map<CommandId, CommandId[]>();
  for (const one of flat) {
    const chords = bindingsOf(keymap, one).map((binding) => binding.chord);
    const leader = chords.map((chord) => first.get(chord)).find((found) => found !== undefined);
    const family = leader === undefined ? undefined : home.get(leader);
    const own = family ?? [];
    own.push(one);
    home.set(one, own);
    for (const chord of chords) if (!first.has(chord)) first.set(chord, one);
  }
  const moved = new Set(flat.filter((one) => (home.get(one)?.length ?? 0) > 1));
  const placed = new Set<CommandId>();
  return groups.flatMap((group) => {
    const next: CommandId[][] = [];
    let open = false;
    for (const one of group) {
      if (placed.has(one)) continue;
      if (moved.has(one)) {
        const family = home.get(one) ?? [one];
        for (const other of family) placed.add(other);
        next.push(family);
        open = false;
      } else {
        if (open) next.at(-1)?.push(one);
        else next.push([one]);
        open = true;
      }
    }
    return next;
  });
}

/** Where a button can be put, said by its neighbors. */
export type ButtonSpot =
  | { readonly kind: 'before' | 'after'; readonly button: CommandId }
  /** As a group of its own before the group of another button; last for null. */
  | { readonly kind: 'apart'; readonly before: CommandId | null };

/** Puts a button into a strip, from wherever it was there. */
export function placeButton<S extends Strip>(strip: S, button: CommandId, spot: ButtonSpot): S {
  if (spot.kind !== 'apart' && spot.button === button) return strip;
  const groups = strip.groups.map((group) => [...group]);
  const own = groups.find((group) => group.includes(button));
  // A mark where the neighbor stands, so that taking the button out first can't move the place.
  const target =
    spot.kind === 'apart'
      ? groups.findIndex((group) => spot.before !== null && group.includes(spot.before))
      : groups.findIndex((group) => group.includes(spot.button));
  if (spot.kind !== 'apart' && target < 0) return strip;
  if (spot.kind === 'apart') {
    if (own?.length === 1 && spot.before === button) return strip;
    const before = target < 0 ? null : groups[target];
    own?.splice(own.indexOf(button), 1);
    const at = before ? groups.indexOf(before) : groups.length;
    groups.splice(at, 0, [button]);
  } else {
    own?.splice(own.indexOf(button), 1);
    const group = groups[target] as CommandId[];
    group.splice(group.indexOf(spot.button) + (spot.kind === 'after' ? 1 : 0), 0, button);
  }
  return { ...strip, groups: groups.filter((group) => group.length > 0) };
}

/** Takes a button off a strip. */
export function removeButton<S extends Strip>(strip: S, button: CommandId): S {
  return {
    ...strip,
    groups: strip.groups.map((group) => group.filter((one) => one !== button)).filter((group) => group.length > 0),
  };
}

/**
 * Moves a button one step earlier or later, so that every order and grouping can be reached by steps alone: past its
 * neighbor; at the end of its group out of it, to stand alone; alone, into the next group.
 */
export function stepButton<S extends Strip>(strip: S, button: CommandId, step: 1 | -1): S {
  const g = strip.groups.findIndex((group) => group.includes(button));
  const group = strip.groups[g];
  if (!group) return strip;
  const at = group.indexOf(button);
  const neighbor = group[at + step];
  if (neighbor !== undefined)
    return placeButton(strip, button, { kind: step > 0 ? 'after' : 'before', button: neighbor });
  if (group.length > 1) {
    const before = step > 0 ? (strip.groups[g + 1]?.[0] ?? null) : (group.find((one) => one !== button) ?? null);
    return placeButton(strip, button, { kind: 'apart', before });
  }
  const next = strip.groups[g + step];
  const edge = step > 0 ? next?.[0] : next?.at(-1);
  return edge === undefined ? strip : placeButton(strip, button, { kind: step > 0 ? 'before' : 'after', button: edge });
}

/** A layout without the commands that a program doesn't have, each once on a strip. */
export function fitTools({ rail, bar, icons }: ToolLayout, known: ReadonlySet<CommandId>): ToolLayout {
  const only = <S extends Strip>(strip: S): S => {
    const seen = new Set<CommandId>();
    const groups = strip.groups.map((group) =>
      group.filter((one) => known.has(one) && !seen.has(one) && seen.add(one)),
    );
    return { ...strip, groups: groups.filter((group) => group.length > 0) };
  };
  return { rail: only(rail), bar: only(bar), icons: icons.filter(([command]) => known.has(command)) };
}

/** What can stand on a strip: tools on the rail; on the bar anything that is called by a press. */
export function fitsOn(strip: StripName, { kind }: Pick<Command, 'kind'>): boolean {
  return strip === 'rail' ? kind === 'tool' : kind !== 'held action';
}
