import type { CommandId, Program } from '../program/program';

/** Where a program's window takes panels. */
export const SIDES = ['left', 'right', 'bottom'] as const;
export type Side = (typeof SIDES)[number];

/** Whether a dock is open, or folded to a strip of icons, without words or with them. */
export const FOLDS = ['open', 'icons', 'words'] as const;
export type Fold = (typeof FOLDS)[number];

/** Panels that lie on each other as tabs; one of them on top. `share` is its part of the dock's length, from 0 to 1. */
export type Stack = {
  readonly panels: readonly CommandId[];
  readonly top: CommandId;
  readonly share: number;
};

/** The stacks along one side, from the top down or from the left; `size` is its part of the window, from 0 to 1. */
export type Dock = { readonly stacks: readonly Stack[]; readonly size: number; readonly fold: Fold };

/** Panels that float over the picture. Lengths are parts of the window, from 0 to 1. */
export type Float = {
  readonly panels: readonly CommandId[];
  readonly top: CommandId;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
};

/** Where each panel is. One that is nowhere has never been shown; one that is hidden comes back where it was. */
export type Arrangement = {
  readonly docks: Readonly<Record<Side, Dock>>;
  readonly floats: readonly Float[];
  readonly hidden: readonly CommandId[];
};

/** The least and the most of the window that a dock or a floating panel takes. */
export const LEAST_SIZE = 0.08;
export const MOST_SIZE = 0.45;

/** How many of its first panels a program shows along the bottom, each by itself, and how many more in the strip at the right. */
const [ALONG_BOTTOM, IN_STRIP] = [3, 3];

/** The arrangement a program starts with: its first panels side by side below the picture, the next folded at the right. */
export function factoryArrangement({ commands }: Program): Arrangement {
  const panels = commands.filter((one) => one.kind === 'panel').map((one) => one.id);
  const alone = (some: readonly CommandId[]): readonly Stack[] =>
    some.map((one) => ({ panels: [one], top: one, share: 1 / some.length }));
  const empty: Dock = { stacks: [], size: 0.18, fold: 'open' };
  return {
    docks: {
      left: empty,
      right: { ...empty, stacks: alone(panels.slice(ALONG_BOTTOM, ALONG_BOTTOM + IN_STRIP)), fold: 'words' },
      bottom: { ...empty, stacks: alone(panels.slice(0, ALONG_BOTTOM)), size: 0.24 },
    },
    floats: [],
    hidden: [],
  };
}

/** Every stack and floating stack with the panels in it, hidden ones included. */
export function groupsOf({ docks, floats }: Arrangement): readonly (Stack | Float)[] {
  return [...SIDES.flatMap((side) => docks[side].stacks), ...floats];
}

/** The panels that have a place and aren't hidden. */
export function shownPanels(arrangement: Arrangement): ReadonlySet<CommandId> {
  const hidden = new Set(arrangement.hidden);
  return new Set(groupsOf(arrangement).flatMap((one) => one.panels.filter((panel) => !hidden.has(panel))));
}

/** The panels of a stack that aren't hidden, and which of them lies on top. */
export function visibleIn(
  { panels, top }: Pick<Stack, 'panels' | 'top'>,
  hidden: readonly CommandId[],
): { readonly panels: readonly CommandId[]; readonly top: CommandId | null } {
  const shown = panels.filter((one) => !hidden.includes(one));
  return { panels: shown, top: shown.includes(top) ? top : (shown[0] ?? null) };
}

/** The side on which a panel is docked, 'float', or null for nowhere. */
export function sideOf({ docks, floats }: Arrangement, panel: CommandId): Side | 'float' | null {
  const side = SIDES.find((one) => docks[one].stacks.some((stack) => stack.panels.includes(panel)));
  return side ?? (floats.some((one) => one.panels.includes(panel)) ? 'float' : null);
}

/** An arrangement without the panels that a program doesn't have, each of them once. */
export function fitArrangement(arrangement: Arrangement, known: ReadonlySet<CommandId>): Arrangement {
  const seen = new Set<CommandId>();
  const only = <Group extends Pick<Stack, 'panels' | 'top'>>(groups: readonly Group[]): Group[] =>
    groups.flatMap((one) => {
      const panels = one.panels.filter((panel) => known.has(panel) && !seen.has(panel) && seen.add(panel));
      return panels.length === 0 ? [] : [{ ...one, panels, top: panels.includes(one.top) ? one.top : panels[0] }];
    });
  const docks = eachDock(arrangement.docks, (dock) => ({ ...dock, stacks: shared(only(dock.stacks)) }));
  return {
    docks,
    floats: only(arrangement.floats),
    hidden: [...new Set(arrangement.hidden)].filter((one) => seen.has(one)),
  };
}

/** The docks, each changed. */
export function eachDock(docks: Arrangement['docks'], change: (dock: Dock, side: Side) => Dock): Arrangement['docks'] {
  return {
    left: change(docks.left, 'left'),
    right: change(docks.right, 'right'),
    bottom: change(docks.bottom, 'bottom'),
  };
}

/** Stacks whose shares make up the whole again. */
export function shared(stacks: readonly Stack[]): readonly Stack[] {
  const sum = stacks.reduce((total, one) => total + one.share, 0);
  if (stacks.length === 0 || Math.abs(sum - 1) < 1e-9) return stacks;
  return stacks.map((one) => ({ ...one, share: sum > 0 ? one.share / sum : 1 / stacks.length }));
}
