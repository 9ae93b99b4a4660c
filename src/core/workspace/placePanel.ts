import type { CommandId } from '../program/program';
import {
  type Arrangement,
  type Dock,
  eachDock,
  type Float,
  LEAST_SIZE,
  SIDES,
  type Side,
  type Stack,
  shared,
  sideOf,
} from './arrangement';

/** Where a panel can be put, said by its neighbors so that it stays true while others move. */
export type Spot =
  /** On the stack of another panel, right after it. */
  | { readonly kind: 'onto'; readonly panel: CommandId }
  /** As a stack of its own after the stack of another panel; first in the dock for null. */
  | { readonly kind: 'between'; readonly side: Side; readonly after: CommandId | null }
  /** Floating, its top left corner there; parts of its width and height. */
  | { readonly kind: 'float'; readonly x: number; readonly y: number };

const FLOAT_WIDTH = 0.2;
const FLOAT_HEIGHT = 0.3;

/**
 * Puts a panel somewhere, from wherever it was, and shows it there on top.
 * @returns the same arrangement where it is there already, or where the neighbor named has no place.
 */
export function placePanel(arrangement: Arrangement, panel: CommandId, spot: Spot): Arrangement {
  const placed = place(arrangement, panel, spot);
  return orderOf(placed) === orderOf(arrangement) ? shown(arrangement, panel) : placed;
}

/** Which panels lie together and in what order, sizes left out. */
function orderOf({ docks, floats }: Arrangement): string {
  const groups = SIDES.map((side) => docks[side].stacks.map((one) => one.panels));
  return JSON.stringify([groups, floats.map((one) => [one.panels, one.x, one.y])]);
}

function place(arrangement: Arrangement, panel: CommandId, spot: Spot): Arrangement {
  const stays = standIn(arrangement, panel, spot);
  if (stays === null) return arrangement;
  const out = takeOut(arrangement, panel);
  switch (stays.kind) {
    case 'float': {
      const old = arrangement.floats.find((one) => one.panels.includes(panel));
      const size = old ?? { width: FLOAT_WIDTH, height: FLOAT_HEIGHT };
      const float = insideWindow({
        panels: [panel],
        top: panel,
        x: stays.x,
        y: stays.y,
        width: size.width,
        height: size.height,
      });
      return { ...out, floats: [...out.floats, float] };
    }
    case 'between': {
      const dock = out.docks[stays.side];
      const at =
        stays.after === null ? 0 : dock.stacks.findIndex((one) => one.panels.includes(stays.after as string)) + 1;
      if (stays.after !== null && at === 0) return arrangement;
      // Each stack gives of its room, so that the new one is as large as the others are at the middle.
      const share = 1 / (dock.stacks.length + 1);
      const stacks = dock.stacks.map((one) => ({ ...one, share: one.share * (1 - share) }));
      const own: Stack = { panels: [panel], top: panel, share };
      return inDock(out, stays.side, { ...dock, stacks: shared([...stacks.slice(0, at), own, ...stacks.slice(at)]) });
    }
    case 'onto': {
      const add = <Group extends Pick<Stack, 'panels' | 'top'>>(group: Group): Group => {
        const at = group.panels.indexOf(stays.panel);
        if (at < 0) return group;
        return {
          ...group,
          panels: [...group.panels.slice(0, at + 1), panel, ...group.panels.slice(at + 1)],
          top: panel,
        };
      };
      const docks = eachDock(out.docks, (dock) => ({ ...dock, stacks: dock.stacks.map(add) }));
      const next = { ...out, docks, floats: out.floats.map(add) };
      // Where that neighbor is nowhere, nothing is done.
      return sideOf(next, panel) === null ? arrangement : next;
    }
  }
}

/** The same spot said without the panel itself; null where the panel is there already. */
function standIn(arrangement: Arrangement, panel: CommandId, spot: Spot): Spot | null {
  if (spot.kind === 'onto') return spot.panel === panel ? null : spot;
  if (spot.kind === 'float' || spot.after !== panel) return spot;
  const stack = arrangement.docks[spot.side].stacks.find((one) => one.panels.includes(panel));
  const other = stack?.panels.find((one) => one !== panel);
  return other === undefined ? null : { ...spot, after: other };
}

/** Takes a panel from where it is; what it leaves empty closes. */
export function takeOut(arrangement: Arrangement, panel: CommandId): Arrangement {
  const without = <Group extends Pick<Stack, 'panels' | 'top'>>(groups: readonly Group[]): Group[] =>
    groups.flatMap((one) => {
      const at = one.panels.indexOf(panel);
      if (at < 0) return [one];
      const panels = one.panels.filter((other) => other !== panel);
      if (panels.length === 0) return [];
      return [{ ...one, panels, top: one.top === panel ? (panels[Math.max(0, at - 1)] as string) : one.top }];
    });
  return {
    docks: eachDock(arrangement.docks, (dock) => ({ ...dock, stacks: shared(without(dock.stacks)) })),
    floats: without(arrangement.floats),
    hidden: arrangement.hidden.filter((one) => one !== panel),
  };
}

function shown(arrangement: Arrangement, panel: CommandId): Arrangement {
  if (!arrangement.hidden.includes(panel)) return arrangement;
  return { ...arrangement, hidden: arrangement.hidden.filter((one) => one !== panel) };
}

/** A floating stack no smaller than can be used, with all of it inside. */
export function insideWindow(float: Float): Float {
  const width = clamp(float.width, LEAST_SIZE, 1);
  const height = clamp(float.height, LEAST_SIZE, 1);
  return { ...float, width, height, x: clamp(float.x, 0, 1 - width), y: clamp(float.y, 0, 1 - height) };
}

export function inDock(arrangement: Arrangement, side: Side, dock: Dock): Arrangement {
  return { ...arrangement, docks: { ...arrangement.docks, [side]: dock } };
}

export function clamp(value: number, least: number, most: number): number {
  return Math.min(most, Math.max(least, value));
}
