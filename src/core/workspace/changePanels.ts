import type { CommandId } from '../program/program';
import {
  type Arrangement,
  eachDock,
  type Float,
  type Fold,
  groupsOf,
  LEAST_SIZE,
  MOST_SIZE,
  SIDES,
  type Side,
  type Stack,
  sideOf,
  visibleIn,
} from './arrangement';
import { clamp, inDock, insideWindow, placePanel } from './placePanel';

/** Hides a panel; its place is kept. */
export function hidePanel(arrangement: Arrangement, panel: CommandId): Arrangement {
  if (sideOf(arrangement, panel) === null || arrangement.hidden.includes(panel)) return arrangement;
  return { ...arrangement, hidden: [...arrangement.hidden, panel] };
}

/** Shows a panel where it was, on top; one that never had a place, in the last stack at the right. */
export function showPanel(arrangement: Arrangement, panel: CommandId): Arrangement {
  if (sideOf(arrangement, panel) === null) {
    const last = arrangement.docks.right.stacks.at(-1)?.panels.at(-1);
    return placePanel(
      arrangement,
      panel,
      last === undefined ? { kind: 'between', side: 'right', after: null } : { kind: 'onto', panel: last },
    );
  }
  return bringOnTop({ ...arrangement, hidden: arrangement.hidden.filter((one) => one !== panel) }, panel);
}

/** Puts a panel on top of its stack. */
export function bringOnTop(arrangement: Arrangement, panel: CommandId): Arrangement {
  const raise = <Group extends Pick<Stack, 'panels' | 'top'>>(group: Group): Group =>
    group.panels.includes(panel) ? { ...group, top: panel } : group;
  return {
    ...arrangement,
    docks: eachDock(arrangement.docks, (dock) => ({ ...dock, stacks: dock.stacks.map(raise) })),
    floats: arrangement.floats.map(raise),
  };
}

/** Whether a panel can be seen: shown, and on top of its stack. */
export function isOnTop(arrangement: Arrangement, panel: CommandId): boolean {
  const group = groupsOf(arrangement).find((one) => one.panels.includes(panel));
  return group !== undefined && visibleIn(group, arrangement.hidden).top === panel;
}

/** Shows a panel that can't be seen and hides one that can, as its key does. */
export function togglePanel(arrangement: Arrangement, panel: CommandId): Arrangement {
  return isOnTop(arrangement, panel) ? hidePanel(arrangement, panel) : showPanel(arrangement, panel);
}

/** Opens a dock or folds it to a strip. */
export function foldDock(arrangement: Arrangement, side: Side, fold: Fold): Arrangement {
  return inDock(arrangement, side, { ...arrangement.docks[side], fold });
}

/** Makes a dock wider or narrower, as a part of the whole. */
export function sizeDock(arrangement: Arrangement, side: Side, size: number): Arrangement {
  return inDock(arrangement, side, { ...arrangement.docks[side], size: clamp(size, LEAST_SIZE, MOST_SIZE) });
}

/** The least part of a dock that a stack keeps. */
const LEAST_SHARE = 0.1;

/** Moves the border between a stack and the next one by a part of the dock's length. */
export function moveBorder(arrangement: Arrangement, side: Side, at: number, by: number): Arrangement {
  const dock = arrangement.docks[side];
  const [here, next] = [dock.stacks[at], dock.stacks[at + 1]];
  if (!here || !next) return arrangement;
  const both = here.share + next.share;
  const share = clamp(here.share + by, Math.min(LEAST_SHARE, both / 2), both - Math.min(LEAST_SHARE, both / 2));
  const stacks = dock.stacks.map((one, i) =>
    i === at ? { ...one, share } : i === at + 1 ? { ...one, share: both - share } : one,
  );
  return inDock(arrangement, side, { ...dock, stacks });
}

/** Moves or sizes the floating stack of a panel. */
export function changeFloat(
  arrangement: Arrangement,
  panel: CommandId,
  box: Partial<Pick<Float, 'x' | 'y' | 'width' | 'height'>>,
): Arrangement {
  return {
    ...arrangement,
    floats: arrangement.floats.map((one) => (one.panels.includes(panel) ? insideWindow({ ...one, ...box }) : one)),
  };
}

/** Which stack of a dock is drawn first and last, so that one whose panels are all hidden takes no room. */
export function drawnStacks(arrangement: Arrangement, side: Side): readonly (Stack & { readonly at: number })[] {
  return arrangement.docks[side].stacks
    .map((one, at) => ({ ...one, at }))
    .filter((one) => visibleIn(one, arrangement.hidden).top !== null);
}

/** Whether a dock has anything to draw. */
export function isDrawn(arrangement: Arrangement, side: Side): boolean {
  return SIDES.includes(side) && drawnStacks(arrangement, side).length > 0;
}
